import { existsSync, statSync } from "node:fs";
import { Worker } from "node:worker_threads";
import SQLite from "better-sqlite3";
import { findFaults } from "./backupFiles.ts";
import { wasCopiedAlone } from "./copiedAlone.ts";

/** What looking through a database found: what is wrong with it, or why that could not be found out. */
export type LookedThrough =
  | { readonly faults: readonly string[] }
  | { readonly code: string; readonly message: string };

/** Looks through a database; nothing in it is changed. */
export function lookThrough(file: string): LookedThrough {
  try {
    const sqlite = new SQLite(file, { timeout: 0 });
    try {
      return { faults: findFaults(sqlite) };
    } finally {
      sqlite.close();
    }
  } catch (error) {
    const { code = "", message } = error as NodeJS.ErrnoException;
    return { code, message };
  }
}

/**
 * The same in a thread, while something else goes on.
 * @returns what is found, or undefined when the thread could not do it; nothing at all where there is no file, or not all of it
 */
export function lookThroughAside(file: string, worker: URL): Promise<LookedThrough | undefined> | undefined {
  if (!existsSync(file) || statSync(file).size === 0 || wasCopiedAlone(file)) return undefined;
  return new Promise((resolve) => {
    const thread = new Worker(worker, { workerData: file });
    thread.once("message", resolve);
    thread.once("error", () => resolve(undefined));
    thread.once("exit", () => resolve(undefined));
  });
}
