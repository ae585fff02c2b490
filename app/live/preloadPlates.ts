import { platesOf } from "../../core/compose/platesOf.ts";
import { pageTimeline } from "../../core/compose/still.ts";
import { filesOf } from "../../core/picture/picture.ts";
import type { Plate } from "../../core/scene/part.ts";
import type { Target } from "../../core/show/line.ts";
import type { ShownPage } from "../../core/show/slot.ts";
import type { ShowState } from "../../core/show/state.ts";
import type { PlateCache } from "../../painters/plateCache.ts";
import type { Drawing } from "./drawing.ts";
import type { Studio } from "./studio.ts";

type Output = Parameters<typeof pageTimeline>[3];

/** A quiet moment is waited for, but not longer than this. */
const WITHIN_MS = 400;
/** While something moves nothing is prepared; it is looked again this often. */
const LOOK_AGAIN_MS = 60;
/** After that a take that may come soon counts more than a frame. */
const LONGEST_WAIT_MS = 3_000;

export interface PreloadParts {
  readonly targets: readonly (Target & ShownPage)[];
  readonly state: ShowState;
  readonly output: Output;
  readonly drawing: Drawing;
  readonly caches: readonly PlateCache[];
  readonly isMoving: () => boolean;
  readonly onDone: () => void;
}

/**
 * Lays out and paints what may be taken soon, so that the take finds its plates ready: in a worker where the browser has one for that,
 * one plate after another, the most likely page first, and never while something moves.
 * @returns a function that gives the rest up
 */
export function preloadPlates(parts: PreloadParts): () => void {
  const end = new AbortController();
  void prepareAll(parts, end.signal).then(() => {
    if (!end.signal.aborted) parts.onDone();
  });
  return () => end.abort();
}

async function prepareAll(parts: PreloadParts, signal: AbortSignal): Promise<void> {
  const { targets, state, output, caches, drawing } = parts;
  const { studio, dress } = drawing;
  const outfitId = state.plan.outputs[output.id]?.outfitId;
  if (!outfitId) return;
  studio?.letGo();
  for (const target of targets) {
    await quiet(parts, signal);
    if (signal.aborted) return;
    if (!drawing.isKnown(target, outfitId, output)) {
      await drawing.layOutBeside(target, outfitId, output);
      await quiet(parts, signal);
      if (signal.aborted) return;
    }
    const plates = platesOf(pageTimeline(target, "preload", outfitId, output, dress, true).pieces);
    for (const cache of caches)
      for (const plate of plates) {
        if (cache.has(plate)) continue;
        await quiet(parts, signal);
        if (signal.aborted) return;
        await preparePlate(plate, cache, studio);
        if (signal.aborted) return;
      }
  }
}

/** Paints a plate ahead: in the worker where that can be. */
export async function preparePlate(
  plate: Plate,
  cache: PlateCache,
  studio: Studio | undefined,
): Promise<void> {
  // Pictures of files are drawn from the window's own.
  const canBeBeside = studio !== undefined && filesOf(plate.picture).length === 0;
  const bitmap = canBeBeside ? await studio.paint(plate.picture, cache.scale, cache.signal) : undefined;
  if (bitmap) cache.keepPainted(plate, bitmap);
  else cache.preload(plate);
}

/** Waits for a moment in which nothing moves and the window has nothing to do. */
async function quiet({ isMoving }: PreloadParts, signal: AbortSignal): Promise<void> {
  for (
    let waitedMs = 0;
    isMoving() && waitedMs < LONGEST_WAIT_MS && !signal.aborted;
    waitedMs += LOOK_AGAIN_MS
  )
    await new Promise((resolve) => setTimeout(resolve, LOOK_AGAIN_MS));
  await new Promise((resolve) => requestIdleCallback(resolve, { timeout: WITHIN_MS }));
}
