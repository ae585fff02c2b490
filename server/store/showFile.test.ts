import {
  copyFileSync,
  cpSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import SQLite from "better-sqlite3";
import { afterAll, beforeAll, describe, expect, test, vi } from "vitest";
import { BEFORE_DESIGNS } from "../../test-support/olderShow.ts";
import { emptyShow } from "../newShow.ts";
import { backUp, listBackups } from "./backupFiles.ts";
import { closeShowFile, openShowFile } from "./showFile.ts";

const root = mkdtempSync(join(tmpdir(), "vesko-file-"));
const seed = join(root, "seed");
let count = 0;
const NOW = Date.parse("2026-11-27T18:00:00Z");

const open = (folder: string, more: { restore?: boolean; asItIs?: boolean } = {}) =>
  openShowFile(join(folder, "show.db"), {
    readSeed: async () => emptyShow(),
    home: process.cwd(),
    mediaFolder: join(folder, "show.db.media"),
    now: () => NOW,
    ...more,
  });
const fresh = () => {
  const folder = join(root, `show-${count++}`);
  cpSync(seed, folder, { recursive: true });
  return folder;
};
const texts = (file: string) => {
  // One that may only read leaves its log behind.
  const database = new SQLite(file);
  const { n } = database.prepare("select count(*) n from scripture_verse").get() as { n: number };
  database.close();
  return n;
};
const tableOf = (database: SQLite.Database, name: string) =>
  (database.prepare("select sql from sqlite_master where name = ?").get(name) as { sql: string }).sql;

beforeAll(async () => {
  vi.spyOn(console, "log").mockImplementation(() => {});
  vi.spyOn(console, "error").mockImplementation(() => {});
  await closeShowFile(await open(seed));
}, 120_000);
afterAll(() => {
  vi.restoreAllMocks();
  rmSync(root, { recursive: true });
});

describe("the file of a show", () => {
  test("is made whole, for its user alone, with nothing left beside it", () => {
    const names = readdirSync(seed).sort();
    expect(names).toEqual(["show.db", "show.db.media"]);
    expect(statSync(join(seed, "show.db")).mode & 0o077).toBe(0);
    expect(texts(join(seed, "show.db"))).toBeGreaterThan(60_000);
  });

  test("a start that was stopped half-way leaves nothing, and the next makes it whole", async () => {
    const folder = join(root, "half");
    cpSync(seed, folder, { recursive: true });
    // What a kill in the middle of making it leaves: a part under another name, and no show.
    copyFileSync(join(folder, "show.db"), join(folder, "show.db.new"));
    truncateSync(join(folder, "show.db.new"), 900_000);
    rmSync(join(folder, "show.db"));
    await closeShowFile(await open(folder));
    expect(texts(join(folder, "show.db"))).toBeGreaterThan(60_000);
    expect(existsSync(join(folder, "show.db.new"))).toBe(false);
  });

  test("a database without a show, as older versions could leave one, is set aside and not lost", async () => {
    const folder = fresh();
    const database = new SQLite(join(folder, "show.db"));
    database.pragma("foreign_keys = off");
    database.exec("delete from show");
    database.close();
    await closeShowFile(await open(folder));
    expect(readdirSync(folder).some((name) => name.startsWith("show.db.unfinished-"))).toBe(true);
    expect(texts(join(folder, "show.db"))).toBeGreaterThan(60_000);
  });

  test("while it is open it says so: copied alone it is not taken for all of the show", async () => {
    const folder = fresh();
    const db = await open(folder);
    const copied = join(root, "copied");
    cpSync(seed, copied, { recursive: true });
    copyFileSync(join(folder, "show.db"), join(copied, "show.db"));
    await closeShowFile(db);
    await expect(open(copied)).rejects.toThrow(
      /copied while Vesko had it open.*-wal.*Copy both files together.*--as-it-is/,
    );
    await closeShowFile(await open(copied, { asItIs: true }));
    // Closed in order, the file alone is all of it.
    copyFileSync(join(folder, "show.db"), join(copied, "show.db"));
    await closeShowFile(await open(copied));
  });

  test("a migration is whole or not at all, with a copy made before it", async () => {
    const folder = fresh();
    const file = join(folder, "show.db");
    const database = new SQLite(file);
    database.exec(`${BEFORE_DESIGNS}
      drop table desk_session;
      create table link_old (token text primary key, show_id text not null, kind text not null, output_id text);
      insert into link_old select * from link where kind <> 'here';
      drop table link;
      alter table link_old rename to link;
      alter table air_event drop column act_id;
      alter table show drop column language;
      delete from kysely_migration where name >= 'm0007';
      create table desk_session (in_the_way integer);`);
    const linkBefore = tableOf(database, "link");
    database.close();
    // The migration fails at its last statement: nothing of it stays.
    await expect(open(folder)).rejects.toThrow(/could not be brought up to date.*It is as it was/);
    const after = new SQLite(file);
    expect(
      after.prepare("select count(*) n from kysely_migration where name = 'm0007_access'").get(),
    ).toEqual({ n: 0 });
    expect(tableOf(after, "link")).toBe(linkBefore);
    after.exec("drop table desk_session");
    after.close();
    expect(listBackups(file)).toMatchObject([{ isBeforeMigration: true }]);
    await closeShowFile(await open(folder));
    expect(listBackups(file).length).toBeGreaterThanOrEqual(1);
  });

  test("a damaged one is told in words, and the newest good copy is brought back", async () => {
    const folder = fresh();
    const file = join(folder, "show.db");
    await backUp(file, NOW - 60_000);
    await backUp(file, NOW);
    // The newest copy is damaged too: the one before it is good.
    const [newest] = listBackups(file);
    truncateSync(join(`${file}.backups`, newest?.name ?? ""), 5_000_000);
    truncateSync(file, 6_000_000);
    await expect(open(folder)).rejects.toThrow(/is damaged.*Nothing was changed.*--restore/);
    await closeShowFile(await open(folder, { restore: true }));
    expect(texts(file)).toBeGreaterThan(60_000);
    const kept = readdirSync(folder).find((name) => name.startsWith("show.db.before-restore-"));
    expect(statSync(join(folder, kept ?? "")).size).toBe(6_000_000);
  });

  test("with no copy there is nothing to bring back, and that is said", async () => {
    const folder = fresh();
    truncateSync(join(folder, "show.db"), 6_000_000);
    await expect(open(folder)).rejects.toThrow(/There is no copy of it here/);
    await expect(open(folder, { restore: true })).rejects.toThrow(/no good copy.*Nothing was changed/);
    writeFileSync(join(folder, "show.db"), "a letter ".repeat(900));
    await expect(open(folder)).rejects.toThrow(/cannot be opened as a show database/);
  });
});
