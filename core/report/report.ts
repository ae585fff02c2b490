import type { AsRunRow, CueRow } from "./asRunRow.ts";

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
  readonly shown: readonly AsRunRow[];
  readonly cues: readonly CueRow[];
  readonly notes: readonly ReportNote[];
}
