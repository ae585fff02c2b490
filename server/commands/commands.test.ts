import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import { carryOut } from "../carry/carrySteps.ts";
import { emptyShow } from "../newShow.ts";
import { openDatabase } from "../store/database.ts";
import { lockShowFile } from "../store/fileLock.ts";
import { makeShow } from "../store/makeShow.ts";
import { backup } from "./backup.ts";
import { checkFile } from "./checkFile.ts";
import { CommandMisused, CommandProblem } from "./command.ts";
import { restore } from "./restore.ts";
import { service } from "./service.ts";

const home = process.cwd();
let folder: string;
let db: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), "vesko-commands-"));
  db = join(folder, "show.vesko.db");
  const open = await openDatabase(db);
  await makeShow(open, emptyShow(), home, `${db}.media`, 1_000);
  await open.destroy();
});
afterAll(() => rmSync(folder, { recursive: true }));

const at = (nowMs: number) => ({ home, nowMs });
const rename = async (name: string) => {
  const open = await openDatabase(db);
  await open.updateTable("show").set({ name }).execute();
  await open.destroy();
};
const nameNow = async () => {
  const open = await openDatabase(db);
  const { name } = await open.selectFrom("show").select("name").executeTakeFirstOrThrow();
  await open.destroy();
  return name;
};

test("a copy is made, listed and put back; what was there is kept", async () => {
  const other = join(folder, "other");
  mkdirSync(other);
  await rename("As it was");
  const said = await backup.run(["--db", db, "--to", other], at(Date.UTC(2026, 10, 1)));
  expect(said.join("\n")).toContain("looked through and good");
  expect(readdirSync(other)).toEqual(["2026-11-01T00-00-00-000Z.vesko.db"]);
  await rename("As it is");

  expect((await restore.run(["--db", db], at(0))).join("\n")).toContain("2026-11-01T00-00-00-000Z");
  const locked = lockShowFile(db, "http://127.0.0.1:1", 0);
  if (!("lock" in locked)) throw new Error("somebody else has it");
  await expect(restore.run(["--db", db, "--copy", "newest"], at(0))).rejects.toThrow(CommandProblem);
  locked.lock.release();
  expect(await nameNow()).toBe("As it is");
  await restore.run(["--db", db, "--copy", "2026-11"], at(Date.UTC(2026, 10, 2)));
  expect(await nameNow()).toBe("As it was");
  expect(readdirSync(folder).some((name) => name.includes("before-restore"))).toBe(true);
  await expect(restore.run(["--db", db, "--copy", "1999"], at(0))).rejects.toThrow("No copy begins");
});

test("a show file is looked at, and a broken one is told", async () => {
  const target = join(folder, "show.vesko.zip");
  await carryOut(
    {
      ...{ kind: "save", holds: { kind: "all" }, program: "0.1.0", target, databaseFile: db },
      ...{ mediaFolder: `${db}.media`, home, folder: join(folder, "job"), atMs: 5_000 },
    },
    () => {},
  );
  expect((await checkFile.run([target], at(0))).join("\n")).toMatch(/Vesko 0\.1\.0[\s\S]*It is whole/);
  writeFileSync(join(folder, "no.zip"), "hello");
  await expect(checkFile.run([join(folder, "no.zip")], at(0))).rejects.toThrow("no show file");
  await expect(checkFile.run([], at(0))).rejects.toThrow(CommandMisused);
});

test("a unit for systemd starts this very program, and nothing typed gets out of its words", async () => {
  const unit = (await service.run(["--user", "booth", "--db", "a b%c.db", "--port", "4500"], at(0))).join(
    "\n",
  );
  expect(unit).toContain("User=booth");
  expect(unit).toMatch(
    /ExecStart="[^"]+" "[^"]+vesko\.mjs" "start" "--db" "[^"]+a b%%c\.db" "--port" "4500"\n/,
  );
  await expect(service.run(["--user", "x\nExecStart=/bin/sh"], at(0))).rejects.toThrow(CommandMisused);
  await expect(service.run(["--nonsense"], at(0))).rejects.toThrow(CommandMisused);
});
