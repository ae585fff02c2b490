import { spawn } from "node:child_process";
import { cpSync, existsSync, mkdtempSync, rmSync, statSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, expect, test } from "vitest";
import type { CarriedShow } from "../../core/carry/carriedShow.ts";
import { songOf } from "../../core/words/songFields.ts";
import { mulberry } from "../../test-support/random.ts";
import { emptyShow } from "../newShow.ts";
import { openDatabase } from "../store/database.ts";
import { makeShow } from "../store/makeShow.ts";
import { type CarryJob, carryOut } from "./carrySteps.ts";
import { readShow } from "./readShow.ts";

const home = process.cwd();
const KILLS = 6;
let folder: string;
let hall: string;
let archive: string;
let brought: CarriedShow;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), "vesko-killed-"));
  const loft = join(folder, "loft.db");
  const songs = Array.from({ length: 400 }, (_, n) => ({
    id: `song-${String(n).padStart(6, "0")}`,
    song: songOf(`Song ${n}`, `Line one of ${n}\nand another`),
  }));
  const db = await openDatabase(loft);
  await makeShow(db, { ...emptyShow(), songs }, home, `${loft}.media`, 1_000);
  await db.destroy();
  archive = join(folder, "loft.zip");
  await carryOut(
    job(loft, { kind: "save", holds: { kind: "all" }, program: "0", target: archive }),
    () => {},
  );
  hall = join(folder, "hall.db");
  const other = await openDatabase(hall);
  await makeShow(other, emptyShow(), home, `${hall}.media`, 1_000);
  await other.destroy();
  brought = await read(loft);
}, 60_000);
afterAll(() => rmSync(folder, { recursive: true }));

type Part<T> = T extends CarryJob
  ? Omit<T, "databaseFile" | "mediaFolder" | "home" | "folder" | "atMs">
  : never;
const job = (databaseFile: string, more: Part<CarryJob>): CarryJob =>
  ({
    ...{ databaseFile, mediaFolder: `${databaseFile}.media`, home, folder: join(folder, "job"), atMs: 5_000 },
    ...more,
  }) as CarryJob;

async function read(file: string): Promise<CarriedShow> {
  const db = await openDatabase(file);
  try {
    return (await readShow(db)).show;
  } finally {
    await db.destroy();
  }
}

/** Does a job in a process of its own and kills it after a while. @returns whether it was through before */
const killedAfter = async (wanted: CarryJob, ms: number): Promise<boolean> =>
  (await runApart(wanted, { killAfterMs: ms })) === "done";

/** Does a job in a process whose files may be no larger than so: beyond that each write fails, as on a disk that is full. */
const withoutRoom = (wanted: CarryJob, largestKb: number) => runApart(wanted, { largestKb });

function runApart(
  wanted: CarryJob,
  { killAfterMs, largestKb }: { readonly killAfterMs?: number; readonly largestKb?: number },
): Promise<"killed" | "done" | "no room" | "failed"> {
  const script = join(folder, "job.mts");
  const steps = JSON.stringify(join(home, "server/carry/carrySteps.ts"));
  const trouble = JSON.stringify(join(home, "server/store/storageTrouble.ts"));
  writeFileSync(
    script,
    `const { carryOut } = await import(${steps}); const { isStorageTrouble } = await import(${trouble});
process.send("begun");
try { await carryOut(${JSON.stringify(wanted)}, () => {}); process.send("done"); }
catch (error) { process.send(isStorageTrouble(error) ? "no room" : "failed: " + error.stack); }
process.disconnect();`,
  );
  return new Promise((resolve) => {
    const limit = largestKb === undefined ? "" : `trap '' XFSZ; ulimit -f ${Math.round(largestKb)};`;
    const node = [process.execPath, "--import", import.meta.resolve("tsx"), script];
    const child = spawn("bash", ["-c", `${limit} exec "$@"`, "bash", ...node], {
      stdio: ["ignore", "ignore", "inherit", "ipc"],
      cwd: home,
    });
    let came: "killed" | "done" | "no room" | "failed" = "killed";
    child.on("message", (said) => {
      if (said === "begun") {
        if (killAfterMs !== undefined) setTimeout(() => child.kill("SIGKILL"), killAfterMs);
      } else if (said === "done" || said === "no room") came = said;
      else {
        came = "failed";
        console.error(said);
      }
    });
    child.on("exit", () => resolve(came));
  });
}

test("killed while it saves, there is no archive that is not whole", async () => {
  const random = mulberry(7);
  for (let n = 0; n < KILLS; n++) {
    const target = join(folder, `saved-${n}.zip`);
    const wanted = job(join(folder, "loft.db"), {
      kind: "save",
      holds: { kind: "all" },
      program: "0",
      target,
    });
    const isDone = await killedAfter(wanted, random() * 900);
    if (existsSync(target)) await carryOut(job(hall, { kind: "look", archive: target }), () => {});
    else expect(isDone).toBe(false);
  }
}, 120_000);

test("killed while it brings in, everything came or nothing did, and the next time it comes", async () => {
  const random = mulberry(11);
  let came = 0;
  for (let n = 0; n < KILLS; n++) {
    const file = join(folder, `hall-${n}.db`);
    cpSync(hall, file);
    const before = await read(file);
    await carryOut(job(file, { kind: "look", archive }), () => {});
    await killedAfter(job(file, { kind: "bring", choices: {}, actor: "desk-1" }), random() * 700);
    const after = await read(file);
    if (after.song.length > 0) {
      came++;
      expect(after.song).toEqual(brought.song);
    } else expect(after).toEqual(before);
    await carryOut(job(file, { kind: "bring", choices: {}, actor: "desk-1" }), () => {});
    expect((await read(file)).song).toEqual(brought.song);
  }
  expect(came).toBeLessThanOrEqual(KILLS);
}, 120_000);

// Of what the job itself writes: from the first page to the last but a few.
const SHARES = [0.3, 0.97, 1.02];

test("where the disk is full in the middle of saving, that is told, and there is no archive", async () => {
  const loft = join(folder, "loft.db");
  for (const [n, share] of SHARES.entries()) {
    const target = join(folder, `full-${n}.zip`);
    const came = await withoutRoom(
      job(loft, { kind: "save", holds: { kind: "all" }, program: "0", target }),
      (share * statSync(loft).size) / 1_024,
    );
    expect(came).toBe(share > 1 ? "done" : "no room");
    expect(existsSync(target)).toBe(share > 1);
  }
}, 120_000);

test("where the disk is full in the middle of bringing in, that is told, and nothing came; with room it comes", async () => {
  for (const [n, share] of SHARES.entries()) {
    const file = join(folder, `full-${n}.db`);
    cpSync(hall, file);
    const before = await read(file);
    await carryOut(job(file, { kind: "look", archive }), () => {});
    const came = await withoutRoom(
      job(file, { kind: "bring", choices: {}, actor: "desk-1" }),
      (share * statSync(file).size) / 1_024,
    );
    expect(came).toBe(share > 1 ? "done" : "no room");
    if (came === "no room") expect(await read(file)).toEqual(before);
    await carryOut(job(file, { kind: "bring", choices: {}, actor: "desk-1" }), () => {});
    expect((await read(file)).song).toEqual(brought.song);
  }
}, 120_000);
