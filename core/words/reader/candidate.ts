import type { PlacedLine, SongFacts } from "./facts.ts";

/** What a line of a pasted song may be. */
export const LINE_KINDS = [
  "title",
  "label",
  "words",
  "repeat",
  "order",
  "key",
  "credit",
  "chords",
  "tab",
  "rule",
  "note",
] as const;
export type LineKind = (typeof LINE_KINDS)[number];

/** Where in a song: before the title, after it, the song itself, what stands under it. */
export type Zone = "top" | "head" | "body" | "foot";

/** One thing that a line may be, and how likely. */
export interface Candidate {
  readonly kind: LineKind;
  /** 0 hardly, 4 as likely as any line is sung, 10 beyond doubt. */
  readonly weight: number;
  /** For the person who reads it: "stands alone above the song". */
  readonly why: string;
  /** Where it may be this; everywhere that its kind may be when not said. */
  readonly zones?: readonly Zone[];
}

/** Weighs one kind for a line; undefined where it cannot be that. */
export type Weigh = (line: PlacedLine, song: SongFacts) => Candidate | undefined;
