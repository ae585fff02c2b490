import { mkdirSync } from "node:fs";
import { dirname } from "node:path";
import SQLite from "better-sqlite3";
import { Kysely, type Migration, Migrator, SqliteDialect, sql } from "kysely";
import * as first from "./migrations/m0001_first.ts";
import * as words from "./migrations/m0002_words.ts";
import * as screens from "./migrations/m0003_screens.ts";
import * as venue from "./migrations/m0004_venue.ts";
import * as evenings from "./migrations/m0005_evenings.ts";
import * as unspaced from "./migrations/m0006_unspaced.ts";
import type { Tables } from "./schema.ts";

export type Db = Kysely<Tables>;

const MIGRATIONS: Readonly<Record<string, Migration>> = {
  m0001_first: first,
  m0002_words: words,
  m0003_screens: screens,
  m0004_venue: venue,
  m0005_evenings: evenings,
  m0006_unspaced: unspaced,
};

/** A start that cannot go on, told in a sentence for the person at the terminal. */
export class StartProblem extends Error {}

/**
 * Opens a database file, makes it durable and brings it up to date.
 * @throws StartProblem when the file is not a database, or was written by a newer version
 */
export async function openDatabase(file: string): Promise<Db> {
  if (file !== ":memory:") mkdirSync(dirname(file), { recursive: true });
  let sqlite: SQLite.Database;
  try {
    sqlite = new SQLite(file);
    sqlite.pragma("journal_mode = WAL");
  } catch (error) {
    throw new StartProblem(
      `The file ${file} cannot be opened as a show database (${(error as Error).message}). Nothing was changed in it. Name another file with --db.`,
    );
  }
  // Acknowledged means on the disk.
  sqlite.pragma("synchronous = FULL");
  // The log is folded into the file in quiet moments (see keepCheckpointed); a take must not wait for it.
  sqlite.pragma("wal_autocheckpoint = 20000");
  sqlite.pragma("foreign_keys = ON");
  sqlite.pragma("busy_timeout = 2000");
  const db = new Kysely<Tables>({ dialect: new SqliteDialect({ database: sqlite }) });
  const newer = findUnknownMigrations(sqlite);
  if (newer.length > 0) {
    await db.destroy();
    throw new StartProblem(
      `The show database ${file} was written by a newer version of Vesko (it has ${newer.join(", ")}). Nothing was changed in it. Start it with that version, or name another file with --db.`,
    );
  }
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

function findUnknownMigrations(sqlite: SQLite.Database): string[] {
  const exists = sqlite
    .prepare("select 1 from sqlite_master where type = 'table' and name = 'kysely_migration'")
    .get();
  if (!exists) return [];
  const rows = sqlite.prepare("select name from kysely_migration").all() as { name: string }[];
  return rows.map(({ name }) => name).filter((name) => !(name in MIGRATIONS));
}

/**
 * Folds the write-ahead log into the database while nothing happens.
 * @param isQuiet whether no command has come for a while
 * @returns a function that ends it
 */
export function keepCheckpointed(db: Db, isQuiet: () => boolean): () => void {
  const timer = setInterval(() => {
    if (isQuiet())
      void sql`pragma wal_checkpoint(passive)`.execute(db).catch((error) => console.error(error));
  }, 5_000);
  timer.unref();
  return () => clearInterval(timer);
}
