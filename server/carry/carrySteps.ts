import { randomUUID } from "node:crypto";
import {
  chmodSync,
  copyFileSync,
  existsSync,
  linkSync,
  mkdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { basename, dirname, join } from "node:path";
import SQLite from "better-sqlite3";
import { sql } from "kysely";
import { z } from "zod";
import { type CarriedShow, fileSchemaOf, filesOf } from "../../core/carry/carriedShow.ts";
import type { CopyCounts, Looked, Saved } from "../../core/carry/carryView.ts";
import { compareShows } from "../../core/carry/compare.ts";
import { type Choices, mergeShows } from "../../core/carry/merge.ts";
import { ofEvening } from "../../core/carry/ofEvening.ts";
import { type Held, PART_FILES, partPlace, type ShowFile } from "../../core/carry/showFile.ts";
import { t } from "../../core/language/t.ts";
import { FileProblem } from "../files/scriptureFile.ts";
import { backUp, partsOf } from "../store/backupFiles.ts";
import { hashOf } from "../store/contentStore.ts";
import { type Db, openDatabase } from "../store/database.ts";
import { addShippedTexts } from "../store/makeShow.ts";
import { findShowId } from "../store/showStore.ts";
import { syncFolder } from "../store/syncFolder.ts";
import { packShow, sumOf } from "./packShow.ts";
import { checkFiles, missingFiles, readParts } from "./readParts.ts";
import { readShow } from "./readShow.ts";
import { unpackShow } from "./unpackShow.ts";
import { writeNewShow, writeShow } from "./writeShow.ts";

/** Where a server keeps a show. */
export interface ShowPlaces {
  readonly databaseFile: string;
  readonly mediaFolder: string;
  /** Of this project. */
  readonly home: string;
}

export type CarryJob = ShowPlaces & { readonly folder: string; readonly atMs: number } & (
    | { readonly kind: "save"; readonly holds: Held; readonly program: string; readonly target: string }
    /** An archive is looked at. */
    | { readonly kind: "look"; readonly archive: string }
    /** A copy that the server made by itself is. */
    | { readonly kind: "lookAtCopy"; readonly copy: string }
    | { readonly kind: "bring"; readonly choices: Choices; readonly actor: string }
    | { readonly kind: "makeNew"; readonly target: string; readonly actor: string }
    /** What is in the copies that the server made by itself. */
    | { readonly kind: "countCopies"; readonly copies: readonly string[] }
    /** A copy that the server made by itself becomes the whole show again. */
    | { readonly kind: "makeFromCopy"; readonly copy: string; readonly target: string }
  );

export interface CarryResults {
  readonly save: Saved;
  readonly look: Looked;
  readonly lookAtCopy: Looked;
  /** And where the show lies as it was before. */
  readonly bring: { readonly things: number; readonly copy: string };
  readonly countCopies: readonly CopyCounts[];
  readonly makeNew: { readonly target: string };
  readonly makeFromCopy: { readonly target: string };
}

export type OnProgress = (share: number) => void;

/** Does one job; whatever it needs beside its result lies in its folder. @throws FileProblem with a sentence */
export async function carryOut(
  job: CarryJob,
  onProgress: OnProgress,
): Promise<CarryResults[CarryJob["kind"]]> {
  mkdirSync(job.folder, { recursive: true, mode: 0o700 });
  switch (job.kind) {
    case "save":
      return save(job, onProgress);
    case "look":
      return look(job, onProgress);
    case "lookAtCopy":
      return lookAtCopy(job, onProgress);
    case "bring":
      return bring(job);
    case "makeNew":
      return makeNew(job, onProgress);
    case "countCopies":
      return job.copies.map(countCopy);
    case "makeFromCopy":
      return makeFromCopy(job);
  }
}

type JobOf<K extends CarryJob["kind"]> = Extract<CarryJob, { kind: K }>;

/** One moment of the show, however it goes on meanwhile. */
async function snapshot(file: string, folder: string, name: string): Promise<string> {
  const target = join(folder, name);
  for (const part of partsOf(target)) rmSync(part, { force: true });
  const source = new SQLite(file, { fileMustExist: true, timeout: 2_000 });
  try {
    await source.backup(target, { progress: () => 0x7fff_ffff });
  } finally {
    source.close();
  }
  return target;
}

/** Reads from a database that nobody else has open; it goes afterwards. */
async function withDatabase<T>(file: string, work: (db: Db) => Promise<T>): Promise<T> {
  const db = await openDatabase(file);
  try {
    return await work(db);
  } finally {
    await db.destroy();
    for (const part of partsOf(file)) rmSync(part, { force: true });
  }
}

const readHere = async ({ databaseFile, folder }: CarryJob) =>
  withDatabase(await snapshot(databaseFile, folder, "here.db"), readShow);

async function save(job: JobOf<"save">, onProgress: OnProgress): Promise<Saved> {
  const { holds, program, mediaFolder, target, atMs } = job;
  const { show, feedFiles, leftOut } = await readHere(job);
  const carried = holds.kind === "all" ? show : ofEvening(show, holds.id);
  if (holds.kind === "evening" && carried.evening.length === 0)
    throw new FileProblem(t`That evening is not here any more. Nothing was saved; choose another.`);
  const packed = await packShow({
    ...{ show: carried, holds, program, atMs, mediaFolder, feedFiles, target, onProgress },
  });
  return { bytes: packed.bytes, missing: packed.missing.length, leftOut: leftOut.length };
}

function countCopy(file: string): CopyCounts {
  const name = basename(file);
  try {
    const sqlite = new SQLite(file, { readonly: true, fileMustExist: true });
    try {
      const one = (from: string) =>
        (sqlite.prepare(`select count(*) as n from ${from}`).get() as { n: number }).n;
      const open = sqlite
        .prepare("select evening.name as name from evening join show on show.evening_id = evening.id limit 1")
        .get() as { name: string } | undefined;
      return {
        name,
        evenings: one("evening where deleted_at_ms is null"),
        cues: one("cue"),
        songs: one("song where deleted_at_ms is null"),
        media: one("media"),
        ...(open && { open: open.name }),
      };
    } finally {
      sqlite.close();
    }
  } catch {
    // Of a version before it had these, or damaged: it can be looked at all the same, and that says why not.
    return { name };
  }
}

/** What a looked-at show is kept as until it is known what becomes of it. */
const partFile = (folder: string, name: string) => join(folder, `${name}.json`);
const filesIn = (folder: string) => join(folder, "files");

async function look(job: JobOf<"look">, onProgress: OnProgress): Promise<Looked> {
  const { archive, folder, mediaFolder } = job;
  const { about, parts } = await unpackShow(archive, filesIn(folder), (share) => onProgress(share * 0.7));
  const show = readParts(parts);
  const find = (sum: string) => {
    const path = join(filesIn(folder), sum);
    return existsSync(path) && !existsSync(join(mediaFolder, sum)) ? path : undefined;
  };
  await checkFiles(show, find, (share) => onProgress(0.7 + share * 0.25));
  keep(folder, show);
  return told(job, show, about);
}

async function lookAtCopy(job: JobOf<"lookAtCopy">, onProgress: OnProgress): Promise<Looked> {
  const { copy, folder } = job;
  const file = join(folder, "copy.db");
  copyFileSync(copy, file);
  onProgress(0.3);
  const { show, feedFiles } = await withDatabase(file, readShow);
  mkdirSync(filesIn(folder), { recursive: true, mode: 0o700 });
  for (const [sum, bytes] of feedFiles) writeFileSync(join(filesIn(folder), sum), bytes, { mode: 0o600 });
  keep(folder, show);
  const [house] = show.house;
  return told(job, show, { name: house?.name ?? "", program: "", holds: { kind: "all" }, madeAtMs: 0 });
}

function keep(folder: string, show: CarriedShow): void {
  for (const name of PART_FILES)
    writeFileSync(partFile(folder, name), JSON.stringify(z.encode(fileSchemaOf(name), show[name])), {
      mode: 0o600,
    });
}

const readKept = (folder: string): CarriedShow =>
  readParts(
    new Map(PART_FILES.map((name) => [partPlace(name), readFileSync(partFile(folder, name), "utf8")])),
  );

async function told(
  job: CarryJob,
  there: CarriedShow,
  { name, program, holds, madeAtMs }: Pick<ShowFile, "name" | "program" | "holds" | "madeAtMs">,
): Promise<Looked> {
  const { show: here } = await readHere(job);
  return {
    ...{ name, program, holds, madeAtMs },
    met: compareShows(here, there),
    missing: missingFiles(there, [filesIn(job.folder), job.mediaFolder]).length,
  };
}

/** Files of a show that are not in the library yet go there: nothing names them until something is written down. */
function takeFiles(show: CarriedShow, folder: string, mediaFolder: string): ReadonlyMap<string, Buffer> {
  const feeds = new Set(show.feed.map(({ file }) => file));
  const feedFiles = new Map<string, Buffer>();
  mkdirSync(mediaFolder, { recursive: true, mode: 0o700 });
  for (const sum of filesOf(show)) {
    const path = join(filesIn(folder), sum);
    if (!existsSync(path)) continue;
    if (feeds.has(sum)) {
      const bytes = readFileSync(path);
      if (sumOf(bytes) === sum) feedFiles.set(sum, bytes);
      continue;
    }
    if (existsSync(join(mediaFolder, sum))) continue;
    // It may be wanted again, should anything fail: it stays in the folder too.
    try {
      linkSync(path, join(mediaFolder, sum));
    } catch {
      const part = join(mediaFolder, `${sum}.part`);
      copyFileSync(path, part);
      renameSync(part, join(mediaFolder, sum));
    }
  }
  syncFolder(mediaFolder);
  return feedFiles;
}

/** Nobody else may write meanwhile. */
async function bring(job: JobOf<"bring">): Promise<CarryResults["bring"]> {
  const { databaseFile, folder, mediaFolder, choices, actor, atMs } = job;
  const there = readKept(folder);
  // It can be looked into as any other copy: whoever regrets it brings back what was.
  const copy = await backUp(databaseFile, atMs, "bring");
  const db = await openDatabase(databaseFile);
  try {
    const showId = await findShowId(db);
    if (showId === undefined) throw new Error("There is no show to bring anything into");
    const { show: here } = await readShow(db);
    const tools = { newId: () => randomUUID(), hashOf };
    const merged = mergeShows(here, there, compareShows(here, there), choices, tools);
    const feedFiles = takeFiles(merged, folder, mediaFolder);
    await writeShow(db, showId, merged, { actor, atMs, feedFiles });
    const { documents: _, ...things } = merged;
    return { things: Object.values(things).reduce((sum, all) => sum + all.length, 0), copy };
  } finally {
    await db.destroy();
  }
}

/** A show of its own, in a file that has its name only when all of it is on the disk. */
async function makeNew(job: JobOf<"makeNew">, onProgress: OnProgress): Promise<{ readonly target: string }> {
  const { folder, mediaFolder, home, actor, atMs } = job;
  const show = readKept(folder);
  const made = join(folder, "made.db");
  for (const part of partsOf(made)) rmSync(part, { force: true });
  const feedFiles = takeFiles(show, folder, mediaFolder);
  return finish(job, made, async (db) => {
    await addShippedTexts(db, home);
    onProgress(0.5);
    await writeNewShow(db, show, { actor, atMs, feedFiles });
  });
}

async function makeFromCopy(job: JobOf<"makeFromCopy">): Promise<{ readonly target: string }> {
  const made = join(job.folder, "made.db");
  for (const part of partsOf(made)) rmSync(part, { force: true });
  copyFileSync(job.copy, made);
  return finish(job, made, async () => {});
}

/** Who may come in stays as it is here: screens find their show again, and a link that was ended stays ended. */
async function finish(
  job: JobOf<"makeNew" | "makeFromCopy">,
  made: string,
  fill: (db: Db) => Promise<void>,
): Promise<{ readonly target: string }> {
  const { databaseFile, folder, target } = job;
  const db = await openDatabase(made);
  try {
    await fill(db);
    await keepAccess(db, await snapshot(databaseFile, folder, "here.db"));
    await sql`pragma wal_checkpoint(truncate)`.execute(db);
  } finally {
    await db.destroy();
  }
  chmodSync(made, 0o600);
  syncFolder(made);
  renameSync(made, target);
  syncFolder(dirname(target));
  return { target };
}

const ACCESS = ["link", "entry_link", "remote_link", "desk_session"] as const;

async function keepAccess(db: Db, hereFile: string): Promise<void> {
  const showId = await findShowId(db);
  const here = await openDatabase(hereFile);
  try {
    const hereId = await findShowId(here);
    if (showId === undefined || hereId === undefined) throw new Error("A show was made that is not there");
    const { passcode_hash } = await here
      .selectFrom("show")
      .select("passcode_hash")
      .where("id", "=", hereId)
      .executeTakeFirstOrThrow();
    await db.updateTable("show").set({ passcode_hash }).where("id", "=", showId).execute();
    for (const table of ACCESS) {
      await db.deleteFrom(table).execute();
      const rows = await here.selectFrom(table).selectAll().where("show_id", "=", hereId).execute();
      for (const row of rows)
        await db
          .insertInto(table)
          .values({ ...row, show_id: showId } as never)
          .onConflict((oc) => oc.doNothing())
          .execute();
    }
  } finally {
    await here.destroy();
    for (const part of partsOf(hereFile)) rmSync(part, { force: true });
  }
}
