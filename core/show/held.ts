import type { ReadyCue } from "../rundown/readyCue.ts";
import { pagesOn, slotOn } from "./layers.ts";
import { pageAt } from "./slot.ts";
import type { ShowState } from "./state.ts";

/** Cues on air that were edited since they were taken: what is there stays as it was until it is sent. */
export function heldCues(state: ShowState, cues: readonly ReadyCue[], atMs: number): Set<string> {
  const onAir = state.layers.flatMap(({ id }) =>
    [...pagesOn(state, id, atMs).values()].flatMap((page) => (page ? [page] : [])),
  );
  const held = new Set<string>();
  for (const { cueId, content } of onAir)
    if (cues.some((cue) => cue.cueId === cueId && cue.hash !== content)) held.add(cueId);
  return held;
}

/** Whether an output shows any of these cues. */
export function showsAny(
  state: ShowState,
  outputId: string,
  cueIds: ReadonlySet<string>,
  atMs: number,
): boolean {
  const layerIds = state.plan.outputs[outputId]?.layerIds ?? [];
  return layerIds.some((layerId) => {
    const page = pageAt(slotOn(state, layerId, outputId), atMs);
    return page !== null && cueIds.has(page.cueId);
  });
}
