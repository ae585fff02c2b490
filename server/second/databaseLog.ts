import { closeSync, openSync, readSync } from "node:fs";

/** News of a database's log. */
export type LogNews =
  | { readonly kind: "newLog" }
  /** The bytes that follow those that came before, up to the end of a transaction. */
  | { readonly kind: "log"; readonly bytes: Uint8Array };

const HEADER_BYTES = 32;
const FRAME_HEAD_BYTES = 24;
/** Frames that are looked for first: most transactions have fewer. */
const FEW_FRAMES = 8;

/**
 * Reads what is added to the write-ahead log of a database that is in use, whole transactions only. It has to be asked after every
 * transaction: the log begins anew over its old bytes when all of them are in the pages.
 * Source: SQLite file format, section 4 (the WAL file): a header of 32 bytes (magic, version, page size, number, two salts, checksums);
 * frames of 24 bytes (page, pages of the database after a commit or 0, the header's salts, checksums) and a page.
 */
export class DatabaseLog {
  readonly #handle: number;
  #salts = "";
  #frameBytes = 0;
  #at = HEADER_BYTES;

  /** @param file the database */
  constructor(file: string) {
    this.#handle = openSync(`${file}-wal`, "r");
  }

  /** What came since it was asked last. */
  read(): LogNews[] {
    const header = Buffer.alloc(HEADER_BYTES);
    // Right after it was folded in, it is empty.
    if (readSync(this.#handle, header, 0, HEADER_BYTES, 0) < HEADER_BYTES) return [];
    const news: LogNews[] = [];
    const salts = header.toString("latin1", 16, 24);
    if (salts !== this.#salts) {
      this.#salts = salts;
      this.#frameBytes = FRAME_HEAD_BYTES + header.readUInt32BE(8);
      this.#at = HEADER_BYTES;
      news.push({ kind: "newLog" }, { kind: "log", bytes: new Uint8Array(header) });
    }
    for (;;) {
      const bytes = this.#readTransactions();
      if (!bytes) return news;
      news.push({ kind: "log", bytes });
      this.#at += bytes.length;
    }
  }

  close(): void {
    closeSync(this.#handle);
  }

  /** Frames from where it stands to the end of the last transaction that is whole among them. */
  #readTransactions(): Uint8Array | undefined {
    for (let frames = FEW_FRAMES; ; frames *= 8) {
      const buffer = Buffer.alloc(frames * this.#frameBytes);
      const length = readSync(this.#handle, buffer, 0, buffer.length, this.#at);
      let end = 0;
      let isMore = true;
      for (let at = 0; isMore && at + this.#frameBytes <= length; at += this.#frameBytes) {
        isMore = buffer.toString("latin1", at + 8, at + 16) === this.#salts;
        if (isMore && buffer.readUInt32BE(at + 4) !== 0) end = at + this.#frameBytes;
      }
      if (end > 0) return new Uint8Array(buffer.subarray(0, end));
      // One transaction may be longer than what was read.
      if (!isMore || length < buffer.length) return undefined;
    }
  }
}
