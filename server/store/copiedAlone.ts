import { closeSync, existsSync, openSync, readSync } from "node:fs";

/** Whether the file says that it was in use, and the log that belongs to it is not here. Source: SQLite file format, header. */
export function wasCopiedAlone(file: string): boolean {
  if (existsSync(`${file}-wal`)) return false;
  const header = Buffer.alloc(100);
  const handle = openSync(file, "r");
  try {
    readSync(handle, header, 0, 100, 0);
  } finally {
    closeSync(handle);
  }
  const isSqlite = header.toString("latin1", 0, 15) === "SQLite format 3";
  return isSqlite && header.readUInt32BE(60) === 1;
}
