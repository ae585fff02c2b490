import type { StorageStatus } from "../show/wire.ts";

/** How the server and its disk do. Times are server time. */
export interface HealthReport {
  readonly storage: StorageStatus;
  /** Null where no file is looked after. */
  readonly keeper: KeeperStatus | null;
  /** Times in which the server's thread did not come to its work. */
  readonly stalls: { readonly count: number; readonly longestMs: number };
  /** How far the show's time is ahead of the machine's clock, which was set back. */
  readonly clockAheadMs: number;
  readonly windows: readonly { readonly outputId: string; readonly windows: number }[];
  readonly stillsWaiting: number;
  readonly memoryMb: number;
  readonly startedAtMs: number;
}

/** How the file of the show is looked after. */
export interface KeeperStatus {
  readonly lastCheckpointAtMs: number | null;
  readonly lastBackupAtMs: number | null;
  /** The copies there are, the newest first. */
  readonly copies: readonly { readonly atMs: number; readonly bytes: number }[];
  /** Why the last copy could not be made; null when it could. */
  readonly backupFailed: string | null;
  readonly freeBytes: number | null;
  readonly room: "enough" | "little" | "none";
}
