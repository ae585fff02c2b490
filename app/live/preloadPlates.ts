import type { Dress } from "../../core/compose/compose.ts";
import { platesOf } from "../../core/compose/platesOf.ts";
import { pageTimeline } from "../../core/compose/still.ts";
import type { Target } from "../../core/show/line.ts";
import type { ShowState } from "../../core/show/state.ts";
import type { Output } from "../../core/venue/plan.ts";
import type { PlateCache } from "../../painters/plateCache.ts";

/** A quiet moment is waited for, but not longer than this. */
const WITHIN_MS = 400;

/**
 * Lays out and paints what may be taken soon, so that the take finds its plates ready: one plate in each quiet moment,
 * the most likely page first, so that what moves meanwhile loses no more than a frame.
 * @returns a function that gives the rest up
 */
export function preloadPlates(
  targets: readonly Target[],
  state: ShowState,
  output: Output,
  dress: Dress,
  plates: PlateCache,
  onDone: () => void,
): () => void {
  const outfitId = state.plan.outputs[output.id]?.outfitId;
  const waiting = [...targets];
  let next = [] as ReturnType<typeof platesOf>;
  let handle = 0;
  const work = () => {
    let plate = next.shift();
    while (plate && plates.has(plate)) plate = next.shift();
    if (plate) plates.preload(plate);
    else {
      const target = waiting.shift();
      if (!target || !outfitId) {
        onDone();
        return;
      }
      next = platesOf(pageTimeline(target, "preload", outfitId, output, dress, true).pieces);
    }
    handle = requestIdleCallback(work, { timeout: WITHIN_MS });
  };
  handle = requestIdleCallback(work, { timeout: WITHIN_MS });
  return () => cancelIdleCallback(handle);
}
