import { chmodSync, copyFileSync, existsSync, mkdirSync, renameSync, rmSync, statSync } from "node:fs";
import { dirname, join } from "node:path";
import SQLite from "better-sqlite3";
import { sql } from "kysely";
import { t } from "../../core/language/t.ts";
import type { Seed } from "../../designs/seed.ts";
import { log } from "../log/log.ts";
import { StartProblem } from "../startProblem.ts";
import {
  backUp,
  backupFolder,
  findFaults,
  listBackups,
  newestGoodBackup,
  partsOf,
  setAside,
} from "./backupFiles.ts";
import { blankShow } from "./blankShow.ts";
import { wasCopiedAlone } from "./copiedAlone.ts";
import { Damaged, type Db, openDatabase } from "./database.ts";
import { type LookedThrough, lookThrough } from "./lookThrough.ts";
import { makeShow } from "./makeShow.ts";
import { findShowId } from "./showStore.ts";
import { syncFolder } from "./syncFolder.ts";

export interface ShowFileOptions {
  /** What it is made of, where there is none. */
  readonly readSeed: () => Promise<Seed>;
  /** Folder of this project. */
  readonly home: string;
  readonly mediaFolder: string;
  readonly now: () => number;
  /** Goes on with a file that was copied without its log. */
  readonly asItIs?: boolean;
  /** It was in use in this very place: a log that is not here any more was folded in by another program. */
  readonly wasLeftOpen?: boolean;
  /** Puts the newest good copy in the place of the file. */
  readonly restore?: boolean;
  /** What looking through it finds; it is looked through now when not said. */
  readonly looked?: Promise<LookedThrough | undefined> | undefined;
}

/**
 * Opens the file of a show: makes it where there is none, brings it up to date, and finds out whether it is whole. Each of these
 * is done or not done when the machine stops at any moment.
 * @throws StartProblem
 */
export async function openShowFile(file: string, options: ShowFileOptions): Promise<Db> {
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  const { now } = options;
  // What a start that was stopped had begun.
  for (const name of partsOf(newName(file))) rmSync(name, { force: true });
  if (options.restore) restoreNewest(file, now());
  const isThere = existsSync(file) && statSync(file).size > 0;
  if (isThere) {
    // Looking through it folds its log in: whether that is here was seen before.
    if (!options.looked && !options.asItIs && !options.wasLeftOpen && wasCopiedAlone(file))
      throw new StartProblem(copiedAlone(file));
    refuseDamaged(file, (await options.looked) ?? lookThrough(file));
  } else await makeFile(file, options);
  const db = await open(file, now);
  if ((await findShowId(db)) !== undefined) return markOpen(db, file);
  // Made by an older version that was stopped in its first start: there is nothing in it.
  await db.destroy();
  log.warn(`There was no show in ${file}; it is kept as ${setAside(file, "unfinished", now())}`);
  await makeFile(file, options);
  return markOpen(await open(file, now), file);
}

/** Closes it so that the file alone is all of the show. */
export async function closeShowFile(db: Db): Promise<void> {
  try {
    await sql`pragma user_version = 0`.execute(db);
    await sql`pragma wal_checkpoint(truncate)`.execute(db);
  } catch (error) {
    log.warn("The show was closed with its log beside it: copy both files together", error);
  }
  await db.destroy();
}

const newName = (file: string): string => `${file}.new`;

async function open(file: string, now: () => number): Promise<Db> {
  try {
    return await openDatabase(file, async (migration) => {
      const copy = await backUp(file, now(), migration);
      log.info(`Before the show database is brought up to date, a copy was made: ${copy}`);
    });
  } catch (error) {
    if (error instanceof StartProblem) throw error;
    throw damaged(file, error);
  }
}

/** A show is made in a file of another name, which gets the right one when all of it is on the disk. */
async function makeFile(file: string, { readSeed, home, mediaFolder, now }: ShowFileOptions): Promise<void> {
  const made = newName(file);
  const blank = blankShow(home);
  try {
    // With the texts and the index of their words in it, which take longer than all the rest.
    if (existsSync(blank)) copyFileSync(blank, made);
    const db = await openDatabase(made);
    await makeShow(db, await readSeed(), home, mediaFolder, Math.round(now()));
    await sql`pragma wal_checkpoint(truncate)`.execute(db);
    await db.destroy();
  } catch (error) {
    for (const name of partsOf(made)) rmSync(name, { force: true });
    if (error instanceof StartProblem) throw error;
    throw new StartProblem(
      `The show could not be made in ${file}: ${error instanceof Error ? error.message : String(error)}. Nothing was left there. Make room, or name another place with --db.`,
    );
  }
  syncFolder(made);
  for (const name of partsOf(file)) rmSync(name, { force: true });
  renameSync(made, file);
  syncFolder(dirname(file));
}

/** From now on the file alone is not all of the show: whoever copies it alone is told so. */
async function markOpen(db: Db, file: string): Promise<Db> {
  await sql`pragma user_version = 1`.execute(db);
  await sql`pragma wal_checkpoint(truncate)`.execute(db);
  for (const name of partsOf(file)) if (existsSync(name)) chmodSync(name, 0o600);
  return db;
}

const copiedAlone = (file: string): string =>
  t`${file} was copied while Vesko had it open, without the file “…-wal” that lies beside it: its latest changes are missing. Nothing was changed in it. Copy both files together, or stop Vesko before you copy, or take one of the copies in the folder “…backups” beside the original. To go on with what is in this file, start once with --as-it-is.`;

function refuseDamaged(file: string, looked: LookedThrough): void {
  if ("faults" in looked) {
    if (looked.faults.length > 0) throw damaged(file, new Damaged(looked.faults[0]));
    return;
  }
  const { code, message } = looked;
  const isNone = code === "SQLITE_NOTADB" && listBackups(file).length === 0;
  // What else stands in the way is told by the opening itself.
  if (isNone || !/^SQLITE_(CORRUPT|NOTADB|IOERR_SHORT_READ)/.test(code)) return;
  throw damaged(file, new Damaged(message));
}

function damaged(file: string, error: unknown): StartProblem {
  log.error(`The show database ${file} is damaged`, error);
  const backup = newestGoodBackup(file);
  return new StartProblem(
    `The show database ${file} is damaged, so it was not opened. Nothing was changed in it. ${
      backup
        ? `The newest good copy is of ${new Date(backup.atMs).toLocaleString("en-GB")}: start with --restore to go on with it; the damaged file is set aside, not thrown away.`
        : "There is no copy of it here. Name another file with --db, or put a copy in its place."
    }`,
  );
}

function restoreNewest(file: string, nowMs: number): void {
  const backup = newestGoodBackup(file);
  if (!backup)
    throw new StartProblem(
      `There is no good copy of ${file} in ${backupFolder(file)}. Nothing was changed or started.`,
    );
  const aside = restoreCopy(file, backup.name, nowMs);
  if (aside !== undefined) log.info(`What was there is kept as ${aside}`);
  log.info(`The show goes on with the copy of ${new Date(backup.atMs).toLocaleString("en-GB")}`);
}

/**
 * Puts a copy in the place of the show, which is set aside. Nobody may have it open.
 * @returns what the one that was there is called now; undefined where there was none
 * @throws StartProblem when the copy is damaged
 */
export function restoreCopy(file: string, name: string, nowMs: number): string | undefined {
  const copy = newName(file);
  copyFileSync(join(backupFolder(file), name), copy);
  const sqlite = new SQLite(copy, { readonly: true });
  const [fault] = findFaults(sqlite);
  sqlite.close();
  if (fault !== undefined) {
    rmSync(copy, { force: true });
    throw new StartProblem(`The copy ${name} is damaged (${fault}). Nothing was changed; choose another.`);
  }
  syncFolder(copy);
  const aside = partsOf(file).some((part) => existsSync(part))
    ? setAside(file, "before-restore", nowMs)
    : undefined;
  renameSync(copy, file);
  syncFolder(dirname(file));
  return aside;
}
