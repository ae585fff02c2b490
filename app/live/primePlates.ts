import type { Dress } from "../../core/screens/compose.ts";
import { platesOf } from "../../core/screens/placements.ts";
import type { Output } from "../../core/screens/plan.ts";
import { pageTimeline } from "../../core/screens/still.ts";
import type { ShowState, Target } from "../../core/show/state.ts";
import type { PlateCache } from "../../painters/plateCache.ts";

/** Lays out and paints what may be taken soon, so that the take finds its plates ready. */
export function primePlates(
  targets: readonly Target[],
  state: ShowState,
  output: Output,
  dress: Dress,
  plates: PlateCache,
): void {
  const outfitId = state.plan.outputs[output.id]?.outfitId;
  if (!outfitId) return;
  for (const target of targets) {
    const { pieces } = pageTimeline(target, "prime", outfitId, output, dress, true);
    for (const plate of platesOf(pieces)) plates.prime(plate);
  }
}
