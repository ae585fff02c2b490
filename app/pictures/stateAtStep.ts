import type { Anchor } from "../../core/rundown/anchor.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import { planAtBeginning } from "../../core/show/planAtBeginning.ts";
import type { ShowState } from "../../core/show/state.ts";
import { stateAfterTake } from "../../core/show/stateAfterTake.ts";
import type { DeskSnapshot } from "../desk/deskSnapshot.ts";
import { emptyState } from "../ui/emptyState.ts";

/**
 * What all screens show at a step when the script is gone through from its beginning: what lasts, what was left lying, and the plan
 * that was asked for by then. What leaves by itself has left.
 * @param hash of another content to show in its place, such as one that is tried out
 */
export function stateAtStep(
  { state: now, ready, plans }: Pick<DeskSnapshot, "state" | "ready" | "plans">,
  cueId: string,
  anchor: Anchor,
  atMs: number,
  hash?: string,
): ShowState | undefined {
  const at = ready.findIndex((cue) => cue.cueId === cueId);
  const cue = ready[at];
  if (!cue) return undefined;
  const target = { cueId, content: cue.hash, step: anchor };
  const { layers, timeZone } = now;
  const plan = planAtBeginning(now, plans);
  const begun = emptyState(layers, plan, target, cue.content.layerId, timeZone, atMs);
  let state: ShowState = { ...begun, slots: Object.fromEntries(layers.map(({ id }) => [id, []])) };
  for (const before of ready.slice(0, at)) {
    const last = stepsOf(before.content).at(-1);
    if (!last || before.content.stayMs !== null || before.content.leavesAtZeroOf !== "") continue;
    state = stateAfterTake(
      state,
      { cueId: before.cueId, content: before.hash, step: last.anchor },
      [before],
      atMs,
      plans,
    );
  }
  const shown = hash === undefined ? ready : ready.map((each) => (each === cue ? { ...cue, hash } : each));
  return stateAfterTake(state, { ...target, content: hash ?? cue.hash }, shown, atMs, plans);
}
