import type { StripRun } from "../crawl/strip.ts";
import type { FiguresValue } from "../figures/figures.ts";
import type { PausedSpan } from "../figures/paused.ts";
import type { Part } from "../scene/part.ts";
import type { Moment } from "../show/slot.ts";
import type { Place } from "./glide.ts";

/** What pieces of one level share. */
export interface Level {
  readonly id: string;
  /** The moment with which the page came. */
  readonly first: Moment | undefined;
  /** The moment that ends it; null while it stays. */
  readonly end: Moment | null;
  /** Length of a mirrored exit. */
  readonly mirrorMs: number;
  /** A member stays at least as long as its group takes to leave. */
  readonly holdMs: number;
  /** When, from the start of the page, what these lie in can be seen; null: as long as the page. */
  readonly window: { readonly fromMs: number; readonly untilMs: number | null };
  /** When the countdowns of each cue stood still, by when it came; the latest that is known of it comes last. */
  readonly paused: readonly { readonly sinceMs: number; readonly spans: readonly PausedSpan[] }[];
  /** When values came by themselves. */
  readonly valuesAtMs: ReadonlySet<number>;
  /** The group fades as a whole: members do not fade for themselves when the page comes or goes by a dissolve. */
  readonly isCarried: boolean;
}

export type PartsOfMoment = { readonly moment: Moment; readonly parts: readonly Part[] };

/** A part with the content it has from one moment on. */
export interface OpenPart {
  readonly part: Part;
  readonly from: Moment;
  readonly isFirst: boolean;
  readonly startMs: number;
  /** When it first could be seen, also where it comes back from an undo: clips and loops count from then. */
  readonly beganMs: number;
  readonly places: Place[];
  readonly members: PartsOfMoment[];
  readonly run: StripRun | null;
  readonly value: FiguresValue | null;
  /** It goes on where the one before it leaves off, without a motion of its own. */
  readonly isHandedOver: boolean;
}

export interface Closing {
  readonly at: Moment | null;
  /** The page leaves; otherwise the part's content changes or is taken out. */
  readonly isEnd: boolean;
  readonly next: Part | undefined;
  /** What comes in its place is there at once, without a motion of either. */
  readonly isAtOnce: boolean;
}

export const isSudden = ({ how }: Moment) => how === "cut" || how === "settled";
