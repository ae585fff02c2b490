import { chmodSync, existsSync, mkdirSync } from "node:fs";
import { dirname } from "node:path";
import SQLite from "better-sqlite3";
import { Kysely, type Migration, Migrator } from "kysely";
import { t } from "../../core/language/t.ts";
import { StartProblem } from "../startProblem.ts";
import { ShowDialect } from "./dialect.ts";
import * as first from "./migrations/m0001_first.ts";
import * as words from "./migrations/m0002_words.ts";
import * as screens from "./migrations/m0003_screens.ts";
import * as venue from "./migrations/m0004_venue.ts";
import * as evenings from "./migrations/m0005_evenings.ts";
import * as unspaced from "./migrations/m0006_unspaced.ts";
import * as access from "./migrations/m0007_access.ts";
import * as acts from "./migrations/m0008_acts.ts";
import * as language from "./migrations/m0009_language.ts";
import * as ranks from "./migrations/m0010_ranks.ts";
import * as report from "./migrations/m0011_report.ts";
import * as values from "./migrations/m0012_values.ts";
import * as designs from "./migrations/m0013_designs.ts";
import * as library from "./migrations/m0014_library.ts";
import * as feeds from "./migrations/m0015_feeds.ts";
import * as tables from "./migrations/m0016_tables.ts";
import * as comments from "./migrations/m0017_comments.ts";
import * as follow from "./migrations/m0018_follow.ts";
import * as hook from "./migrations/m0019_hook.ts";
import * as check from "./migrations/m0020_check.ts";
import * as reportNotes from "./migrations/m0021_report.ts";
import * as songsShown from "./migrations/m0022_songs_shown.ts";
import * as remotes from "./migrations/m0023_remotes.ts";
import * as second from "./migrations/m0024_second.ts";
import type { Tables } from "./schema.ts";

export type Db = Kysely<Tables>;

const MIGRATIONS: Readonly<Record<string, Migration>> = {
  m0001_first: first,
  m0002_words: words,
  m0003_screens: screens,
  m0004_venue: venue,
  m0005_evenings: evenings,
  m0006_unspaced: unspaced,
  m0007_access: access,
  m0008_acts: acts,
  m0009_language: language,
  m0010_ranks: ranks,
  m0011_report: report,
  m0012_values: values,
  m0013_designs: designs,
  m0014_library: library,
  m0015_feeds: feeds,
  m0016_tables: tables,
  m0017_comments: comments,
  m0018_follow: follow,
  m0019_hook: hook,
  m0020_check: check,
  m0021_report: reportNotes,
  m0022_songs_shown: songsShown,
  m0023_remotes: remotes,
  m0024_second: second,
};

/** Name of the last migration: what an up-to-date database has. */
export const NEWEST_MIGRATION = Object.keys(MIGRATIONS).sort().at(-1);

/** Why a database cannot be used as it is. */
export class Damaged extends Error {}

const dialects = new WeakMap<Db, ShowDialect>();

/**
 * Tells after every transaction, and every statement outside of one, when it is on the disk and before whoever wrote it goes on.
 * @returns a function that ends it
 */
export function onWritten(db: Db, listener: () => void): () => void {
  const listeners = dialects.get(db)?.listeners;
  listeners?.add(listener);
  return () => listeners?.delete(listener);
}

/**
 * How long the log of a database becomes, in pages of 4 KiB, before whoever writes folds it in: little is left to fold, since the
 * keeper does it aside all the while (see ShowKeeper). The log begins anew only when all of it is folded in, and where somebody
 * writes in every moment that is so here alone.
 */
const LONGEST_LOG_PAGES = 2_500;

/**
 * Opens a database file, makes it durable and brings it up to date, all of it or nothing.
 * @param beforeMigration is run before anything is changed in a database that has something in it
 * @throws StartProblem when the file is not a database, or was written by a newer version; Damaged
 */
export async function openDatabase(
  file: string,
  beforeMigration: (wanted: string) => Promise<void> = async () => {},
): Promise<Db> {
  if (file !== ":memory:") mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  const sqlite = openSqlite(file);
  const done = findDoneMigrations(sqlite);
  const newer = done.filter((name) => !(name in MIGRATIONS));
  if (newer.length > 0) {
    sqlite.close();
    throw new StartProblem(
      `The show database ${file} was written by a newer version of Vesko (it has ${newer.join(", ")}). Nothing was changed in it. Start it with that version, or name another file with --db.`,
    );
  }
  const wanted = Object.keys(MIGRATIONS).find((name) => !done.includes(name));
  if (wanted !== undefined && done.length > 0) await beforeMigration(wanted);
  const dialect = new ShowDialect(sqlite);
  const db = new Kysely<Tables>({ dialect });
  dialects.set(db, dialect);
  const migrator = new Migrator({ db, provider: { getMigrations: async () => ({ ...MIGRATIONS }) } });
  const { error } = await migrator.migrateToLatest();
  if (error) {
    await db.destroy();
    throw new StartProblem(
      `The show database ${file} could not be brought up to date (${error instanceof Error ? error.message : String(error)}). It is as it was.`,
    );
  }
  return db;
}

function openSqlite(file: string): SQLite.Database {
  let sqlite: SQLite.Database | undefined;
  try {
    // Nobody waits in here for a lock of somebody else: whoever writes tries again by itself, and takes go on meanwhile.
    sqlite = new SQLite(file, { timeout: 0 });
    sqlite.pragma("journal_mode = WAL");
    // Acknowledged means on the disk.
    sqlite.pragma("synchronous = FULL");
    sqlite.pragma(`wal_autocheckpoint = ${LONGEST_LOG_PAGES}`);
    sqlite.pragma(`journal_size_limit = ${4 * 1024 * 1024}`);
    sqlite.pragma("foreign_keys = ON");
    if (file !== ":memory:")
      for (const name of [file, `${file}-wal`, `${file}-shm`]) if (existsSync(name)) chmodSync(name, 0o600);
    sqlite.prepare("select count(*) from sqlite_master").get();
    return sqlite;
  } catch (error) {
    sqlite?.close();
    const { code = "", message } = error as NodeJS.ErrnoException;
    if (code.startsWith("SQLITE_CORRUPT")) throw new Damaged(message);
    if (code.startsWith("SQLITE_BUSY"))
      throw new StartProblem(
        `The show database ${file} is in use by another program. Nothing was changed in it. Close that program and start again.`,
      );
    throw new StartProblem(
      `The file ${file} cannot be opened as a show database (${whyNot(code, message)}). Nothing was changed in it. Name another file with --db.`,
    );
  }
}

function whyNot(code: string, message: string): string {
  if (code.startsWith("SQLITE_CANTOPEN") || code === "EACCES")
    return t`it may not be read and written by this user`;
  if (code.startsWith("SQLITE_READONLY")) return t`it may only be read`;
  if (code === "SQLITE_FULL" || code === "ENOSPC") return t`the disk is full`;
  return message;
}

function findDoneMigrations(sqlite: SQLite.Database): string[] {
  const exists = sqlite
    .prepare("select 1 from sqlite_master where type = 'table' and name = 'kysely_migration'")
    .get();
  if (!exists) return [];
  const rows = sqlite.prepare("select name from kysely_migration").all() as { name: string }[];
  return rows.map(({ name }) => name);
}
