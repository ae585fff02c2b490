import type { AsRunRow, CueRow } from "./asRunRow.ts";
import type { Beside } from "./beside.ts";

/** A stretch of server time, ms. */
export interface Range {
  readonly fromMs: number;
  readonly untilMs: number;
}

/** A note beside something that was logged. Never changed: another note says what this one said wrongly. */
export interface ReportNote {
  /** Number of the event it is about. */
  readonly seq: number;
  readonly atMs: number;
  readonly by: string;
  readonly words: string;
}

/** What was shown in a stretch of time. */
export interface Report {
  /** The evening whose cues they were; null where none of them is known any more. */
  readonly evening: string | null;
  readonly shown: readonly AsRunRow[];
  readonly cues: readonly CueRow[];
  readonly notes: readonly ReportNote[];
  /** What was written down beside the log of the air: what went wrong, and figures over time. */
  readonly beside: readonly Beside[];
  /** Whether that was written down at all by then: where it was not, nothing can be said of it. */
  readonly hasBeside: boolean;
}
