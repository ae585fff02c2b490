import { LONGEST_MOTION_MS } from "../motion/track.ts";
import type { SlotPage } from "../show/slot.ts";
import type { Output } from "../venue/plan.ts";
import { composeSlot, type Dress } from "./compose.ts";
import type { Timeline } from "./piece.ts";

/** Long after any motion: the picture of a page that has arrived. */
export const ARRIVED_MS = 60_000;

/**
 * One page alone on an output, as if it came at time 0: for stills of any instant of it.
 * @param isAnimated it arrives by its motion; otherwise it simply stands
 */
export function pageTimeline(
  page: SlotPage,
  layerId: string,
  outfitId: string,
  output: Output,
  dress: Dress,
  isAnimated: boolean,
): Timeline {
  const how = isAnimated ? "animated" : "settled";
  const moment = {
    startAtMs: 0,
    sinceMs: 0,
    page,
    how,
    endsAtMs: null,
    lastsMs: LONGEST_MOTION_MS,
    effectMs: null,
  } as const;
  return { pieces: composeSlot([moment], layerId, (shown) => dress(shown, outfitId, output)) };
}
