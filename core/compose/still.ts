import { LONGEST_MOTION_MS } from "../motion/track.ts";
import type { ShownPage } from "../show/slot.ts";
import type { Output } from "../venue/plan.ts";
import { composeSlot, type Dress } from "./compose.ts";
import type { Timeline } from "./piece.ts";

/** Long after any motion: the picture of a page that has arrived. */
export const ARRIVED_MS = 60_000;

/**
 * One page alone on an output, for stills of any instant of it.
 * @param comesAtMs server time; what it shows of the time is as it is then
 * @param isAnimated it arrives by its motion; otherwise it simply stands
 * @param leavesAfterMs when it leaves by its motion, ms after it came; null: it stays
 */
export function pageTimeline(
  page: ShownPage,
  layerId: string,
  outfitId: string,
  output: Output,
  dress: Dress,
  isAnimated: boolean,
  comesAtMs = 0,
  leavesAfterMs: number | null = null,
): Timeline {
  const how = isAnimated ? "animated" : "settled";
  const moment = {
    startAtMs: comesAtMs,
    sinceMs: comesAtMs,
    page,
    how,
    endsAtMs: leavesAfterMs === null ? null : comesAtMs + leavesAfterMs,
    lastsMs: LONGEST_MOTION_MS,
    effectMs: null,
  } as const;
  return { pieces: composeSlot([moment], layerId, (shown) => dress(shown, outfitId, output)) };
}
