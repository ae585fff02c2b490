import { type FrameRate, frameStartMs } from "../time/timecode.ts";
import type { Timeline } from "./piece.ts";
import { settledUntil, stillUntil } from "./stillUntil.ts";

/** A frame of a page's life. */
export interface LifeFrame {
  /** Since the page came, ms. */
  readonly atMs: number;
  /** It shows what the frame before it shows. */
  readonly isSame: boolean;
}

/** So long a page may take to be gone, ms: longer, and it is cut. */
const LONGEST_EXIT_MS = 60_000;

/**
 * The frames of a page from its first to the first in which it is gone.
 * @param timeline of the page alone, which comes at 0
 * @param leavesAfterMs when it leaves, ms after it came
 */
export function lifeFrames(timeline: Timeline, leavesAfterMs: number, rate: FrameRate): LifeFrame[] {
  const frames: LifeFrame[] = [];
  let isStillUntilMs: number | null = null;
  for (let number = 0; ; number++) {
    const atMs = frameStartMs(number, rate);
    frames.push({ atMs, isSame: isStillUntilMs !== null && isStillUntilMs > atMs });
    isStillUntilMs = stillUntil(timeline, atMs);
    const isOver = atMs > leavesAfterMs && settledUntil(timeline, atMs) !== null;
    if (isOver || atMs > leavesAfterMs + LONGEST_EXIT_MS) return frames;
  }
}
