import { closeSync, fsyncSync, openSync } from "node:fs";

/** Puts the names of a folder, or the bytes of a file, on the disk. */
export function syncFolder(path: string): void {
  const handle = openSync(path, "r");
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}
