import type { StripRun } from "../crawl/strip.ts";
import type { FiguresValue } from "../figures/figures.ts";
import type { PausedSpan } from "../figures/paused.ts";
import type { Life } from "../motion/pose.ts";
import type { Point } from "../picture/picture.ts";
import type { Blend } from "../scene/kinds/group.ts";
import type { Looks, PartContent } from "../scene/part.ts";
import type { Shutter } from "../show/shutter.ts";
import type { Place } from "./glide.ts";

export type ContentOf<Kind extends PartContent["kind"]> = Extract<PartContent, { kind: Kind }>;

/** What the time decides: since when it counts, and when it stood still. */
interface Counted {
  readonly value: FiguresValue;
  readonly sinceMs: number;
  readonly paused: readonly PausedSpan[];
}

/** A part's content with the times that are known once it is on air. */
export type PieceContent =
  | ContentOf<"plate">
  | ContentOf<"shape">
  | ContentOf<"program">
  | (ContentOf<"gauge"> & Counted)
  | (ContentOf<"sound"> & { readonly sinceMs: number })
  | (ContentOf<"video"> & { readonly sinceMs: number })
  | (ContentOf<"figures"> & Counted)
  | (ContentOf<"strip"> & { readonly run: StripRun })
  | {
      readonly kind: "cells";
      readonly box: ContentOf<"cells">["box"];
      readonly cells: readonly (ContentOf<"cells">["cells"][number] & { readonly life: Life })[];
    }
  | {
      readonly kind: "group";
      readonly pieces: readonly Piece[];
      readonly blend: Blend;
      readonly clip: ContentOf<"group">["clip"];
      readonly rect: ContentOf<"group">["rect"];
    };

/** One part with one content, from its coming to its going. */
export interface Piece {
  /** Stable for the same part in the same stay on screen. */
  readonly id: string;
  readonly key: string;
  readonly opacity: number;
  readonly rotationDeg: number;
  /** What it turns and grows around, from its place. */
  readonly pivot: Point;
  readonly looks: Looks;
  readonly life: Life;
  readonly places: readonly Place[];
  readonly content: PieceContent;
}

/** All pieces of one output from the back to the front, for all time as far as it is decided. */
export interface Timeline {
  readonly pieces: readonly Piece[];
  /** The output is shut, or was: clips fall silent with it. */
  readonly silence?: Pick<Shutter, "sinceMs" | "untilMs"> | null;
}
