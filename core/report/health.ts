import { t } from "../language/t.ts";
import type { SecondView } from "../second/secondView.ts";

/** How the disk of the show does, as every desk has to know it. */
export type StorageStatus =
  | { readonly kind: "well" }
  | { readonly kind: "littleRoom"; readonly sentence: string }
  | { readonly kind: "noRoom"; readonly sentence: string }
  /** So many events of the air are in memory only. */
  | { readonly kind: "unwritten"; readonly events: number; readonly sentence: string };

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
  readonly second: SecondView;
  /** What of the show could not be read. */
  readonly setAside: readonly SetAsideRow[];
  readonly memoryMb: number;
  readonly startedAtMs: number;
}

/** A row that cannot be read: the show goes on without it, and it stays in the file as it is. */
export interface SetAsideRow {
  /** What it is: "cue", "screen". */
  readonly what: string;
  /** What it is called, as far as that can be read. */
  readonly name: string;
  readonly why: string;
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

/** What every desk is told when it comes; undefined when all could be read. */
export function setAsideSentence(rows: readonly SetAsideRow[]): string | undefined {
  const [first] = rows;
  if (!first) return undefined;
  const what =
    rows.length === 1
      ? t`The ${first.what} “${first.name}” could not be read and is left out`
      : t`${rows.length} things of this show could not be read and are left out, “${first.name}” among them`;
  return t`${what}. All else is as it was, and nothing was deleted; Health names what is missing.`;
}
