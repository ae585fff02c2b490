import type SQLite from "better-sqlite3";
import { type DatabaseConnection, type Driver, SqliteAdapter, SqliteDialect, SqliteDriver } from "kysely";

/** SQLite as Kysely speaks it, with two things put right, and one told. */
export class ShowDialect extends SqliteDialect {
  readonly #sqlite: SQLite.Database;
  /** Told when a transaction, or a statement outside of one, is done. */
  readonly listeners = new Set<() => void>();

  constructor(sqlite: SQLite.Database) {
    super({ database: sqlite });
    this.#sqlite = sqlite;
  }

  override createAdapter(): SqliteAdapter {
    return new TransactionalAdapter();
  }

  override createDriver(): Driver {
    return new ShowDriver(this.#sqlite, this.listeners);
  }
}

/** Tables of SQLite change within transactions: migrations are whole or not at all. */
class TransactionalAdapter extends SqliteAdapter {
  override get supportsTransactionalDdl(): boolean {
    return true;
  }
}

/** A disk that is full ends a transaction by itself: what it said must not be lost behind "no transaction is active". */
class ShowDriver extends SqliteDriver {
  readonly #sqlite: SQLite.Database;
  readonly #listeners: ReadonlySet<() => void>;

  constructor(sqlite: SQLite.Database, listeners: ReadonlySet<() => void>) {
    super({ database: sqlite });
    this.#sqlite = sqlite;
    this.#listeners = listeners;
  }

  override async releaseConnection(): Promise<void> {
    for (const listener of this.#listeners) listener();
    await super.releaseConnection();
  }

  override async rollbackTransaction(connection: DatabaseConnection): Promise<void> {
    if (this.#sqlite.inTransaction) await super.rollbackTransaction(connection);
  }
}
