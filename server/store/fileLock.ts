import { existsSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { hostname } from "node:os";
import SQLite from "better-sqlite3";
import { z } from "zod";
import { t } from "../../core/language/t.ts";

/** Who has a show database open. */
const ownerSchema = z.object({
  machine: z.string(),
  processId: z.number(),
  address: z.string(),
  sinceMs: z.number(),
});
export type Owner = z.infer<typeof ownerSchema>;

export interface FileLock {
  /** Whether a server that had it here ended without closing it. */
  readonly wasLeftOpen: boolean;
  readonly release: () => void;
}

const lockName = (file: string) => `${file}.lock`;
const ownerName = (file: string) => `${file}.owner.json`;

/**
 * Takes a show database for this process alone. The lock is the operating system's own, on a small file beside it: it ends with the
 * process, however that ends.
 * @param address where this server can be reached, told to whoever comes second
 * @returns the owner instead when another process has it; undefined where that one did not say who it is
 */
export function lockShowFile(
  file: string,
  address: string,
  nowMs: number,
): { readonly lock: FileLock } | { readonly owner: Owner | undefined } {
  const sqlite = new SQLite(lockName(file), { timeout: 0 });
  try {
    sqlite.pragma("journal_mode = memory");
    sqlite.exec("begin exclusive");
  } catch (error) {
    sqlite.close();
    if (!(error instanceof SQLite.SqliteError) || !error.code.startsWith("SQLITE_BUSY")) throw error;
    return { owner: readOwner(file) };
  }
  const wasLeftOpen = existsSync(ownerName(file));
  const owner: Owner = { machine: hostname(), processId: process.pid, address, sinceMs: nowMs };
  writeFileSync(ownerName(file), JSON.stringify(owner), { mode: 0o600 });
  return {
    lock: {
      wasLeftOpen,
      release: () => {
        rmSync(ownerName(file), { force: true });
        sqlite.close();
      },
    },
  };
}

function readOwner(file: string): Owner | undefined {
  try {
    return ownerSchema.parse(JSON.parse(readFileSync(ownerName(file), "utf8")));
  } catch {
    return undefined;
  }
}

export function tellOwner(file: string, owner: Owner | undefined): string {
  const who = owner
    ? t` by the Vesko at ${owner.address} (process ${owner.processId} on ${owner.machine}, since ${new Date(owner.sinceMs).toLocaleString("en-GB")})`
    : t` by another Vesko`;
  return t`The show database ${file} is open already,${who}. That one goes on as it was, and nothing was started. Use its desk, or name another file with --db.`;
}
