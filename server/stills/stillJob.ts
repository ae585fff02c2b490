import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import type { ShownPage } from "../../core/show/slot.ts";
import type { Output } from "../../core/venue/plan.ts";
import type { ShownSource } from "../../painters/program/shownSource.ts";

/** A page of a still, and the layer that it lies on. */
export interface StillPage {
  readonly page: ShownPage;
  readonly layerId: string;
}

/** A still to be painted. Files are named by where they lie: the painter reads them itself. */
export interface StillJob {
  readonly id: number;
  readonly documents: readonly (readonly [hash: string, document: PinnedDocument])[];
  readonly files: readonly (readonly [file: string, path: string])[];
  readonly fonts: readonly (readonly [id: string, path: string])[];
  /** What is on program, for pages with a window of it. */
  readonly program: readonly ShownSource[];
  /** From the back to the front. */
  readonly pages: readonly StillPage[];
  readonly outfitId: string;
  readonly output: Output;
  /** Of a part of a wall, the wall. */
  readonly isWholeWall: boolean;
  readonly timeZone: string;
  /** Since the pages came; null: at rest. */
  readonly atMs: number | null;
  /** When they leave, since they came; null: they stay. */
  readonly leavesAfterMs: number | null;
  /** Server time at which they came, for what shows the time; null: as long ago as `atMs` says. */
  readonly cameAtMs: number | null;
  readonly widthPx: number;
  readonly signal: "picture" | "fill" | "key";
  /** Server time that clocks and countdowns in it show. */
  readonly nowMs: number;
}

export interface Still {
  readonly png: Uint8Array;
  /** It shows the time: a moment later it is another. */
  readonly showsTime: boolean;
}

export type StillResult = {
  readonly id: number;
  /** All the memory the painter holds, in bytes. */
  readonly memoryBytes: number;
} & (Still | { readonly failed: string });
