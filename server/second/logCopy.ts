import { appendFileSync, existsSync, renameSync, rmSync, writeFileSync } from "node:fs";
import SQLite from "better-sqlite3";

/**
 * A copy of a database that is in use elsewhere: its pages as a file, and its log beside it, as they would lie there if that machine
 * stopped now. So opening it is what opening after a power cut is, and what came in half is left out by its checksums.
 */
export class LogCopy {
  #file: string;

  /** @param file its pages, of a moment not before the log begins */
  constructor(file: string) {
    this.#file = file;
    this.#dropLog(file);
  }

  /** The log begins anew: what there is of it goes into the pages first. */
  beginLog(): void {
    if (existsSync(`${this.#file}-wal`)) {
      const sqlite = new SQLite(this.#file, { fileMustExist: true, timeout: 0 });
      try {
        sqlite.pragma("wal_checkpoint(truncate)");
      } finally {
        sqlite.close();
      }
    }
    this.#dropLog(this.#file);
    writeFileSync(`${this.#file}-wal`, "", { mode: 0o600 });
  }

  append(bytes: Uint8Array): void {
    appendFileSync(`${this.#file}-wal`, bytes);
  }

  /** Takes the place of the file of another name. */
  moveTo(file: string): void {
    this.#dropLog(file);
    renameSync(this.#file, file);
    if (existsSync(`${this.#file}-wal`)) renameSync(`${this.#file}-wal`, `${file}-wal`);
    this.#dropLog(this.#file);
    this.#file = file;
  }

  /** It is of no use any more. */
  drop(): void {
    rmSync(this.#file, { force: true });
    this.#dropLog(this.#file);
  }

  #dropLog(file: string): void {
    for (const end of ["-wal", "-shm"]) rmSync(`${file}${end}`, { force: true });
  }
}
