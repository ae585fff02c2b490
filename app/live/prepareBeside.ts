import type { Dress } from "../../core/compose/compose.ts";
import type { Timeline } from "../../core/compose/piece.ts";
import type { Plate } from "../../core/scene/part.ts";
import type { PlateCache } from "../../painters/plateCache.ts";
import type { Drawing } from "./drawing.ts";
import { preparePlate } from "./preloadPlates.ts";

/**
 * Lays out and paints in the worker what a picture is made of, so that drawing it finds all of it ready.
 * @param compose the picture's timeline by whatever dresses its pages
 * @param shows what of it is drawn
 * @returns the timeline; undefined when it was called off meanwhile
 */
export async function prepareBeside(
  drawing: Drawing,
  compose: (dress: Dress) => Timeline,
  shows: (timeline: Timeline) => readonly Plate[],
  cache: PlateCache,
  signal: AbortSignal,
): Promise<Timeline | undefined> {
  const { studio, dress } = drawing;
  if (studio) {
    const wanted: Parameters<Dress>[] = [];
    // What is next beside an armed step is said by this thread: the worker is not told what is armed.
    compose((...asked) => {
      if (!asked[3] && !drawing.isKnown(...asked)) wanted.push(asked);
      return undefined;
    });
    for (const asked of wanted) {
      await drawing.layOutBeside(...asked);
      if (signal.aborted) return undefined;
    }
  }
  const timeline = compose(dress);
  for (const plate of shows(timeline)) {
    if (cache.has(plate)) continue;
    await preparePlate(plate, cache, studio);
    if (signal.aborted) return undefined;
  }
  return timeline;
}
