import { parentPort } from "node:worker_threads";
import SQLite from "better-sqlite3";
import { backUp, copyPages, copyTo } from "./backupFiles.ts";

export type KeeperJob =
  | { readonly kind: "checkpoint"; readonly file: string }
  | { readonly kind: "backUp"; readonly file: string; readonly atMs: number }
  /** All pages as they are at one moment, for a machine that is sent what comes after. */
  | { readonly kind: "copyPages"; readonly file: string; readonly to: string }
  | { readonly kind: "copyTo"; readonly copy: string; readonly folder: string; readonly atMs: number };
export type KeeperAnswer =
  | { readonly done: string; readonly tookMs: number }
  | { readonly failed: string; readonly code: string };

async function carryOut(job: KeeperJob): Promise<string> {
  switch (job.kind) {
    case "checkpoint": {
      const sqlite = new SQLite(job.file, { fileMustExist: true, timeout: 0 });
      try {
        // Passive: it takes what nobody uses, and makes nobody wait.
        const [{ busy, log: pages, checkpointed }] = sqlite.pragma("wal_checkpoint(passive)") as [
          { busy: number; log: number; checkpointed: number },
        ];
        return `${checkpointed} of ${pages} pages${busy ? ", busy" : ""}`;
      } finally {
        sqlite.close();
      }
    }
    case "backUp":
      return backUp(job.file, job.atMs);
    case "copyPages":
      await copyPages(job.file, job.to);
      return job.to;
    case "copyTo":
      copyTo(job.copy, job.folder, job.atMs);
      return job.folder;
  }
}

parentPort?.on("message", async (job: KeeperJob) => {
  const fromMs = performance.now();
  try {
    const done = await carryOut(job);
    parentPort?.postMessage({ done, tookMs: performance.now() - fromMs } satisfies KeeperAnswer);
  } catch (error) {
    const { message, code = "" } = error as NodeJS.ErrnoException;
    parentPort?.postMessage({ failed: message, code } satisfies KeeperAnswer);
  }
});
