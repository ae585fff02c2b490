import { LEAVE_ANCHOR, sameAnchor } from "../rundown/steps.ts";
import { pageAt, type Slot } from "../show/slot.ts";
import type { ShowState, Target } from "../show/state.ts";

/** The state as it will stand once a target has been taken and all motion is over: what "next" pictures show. */
export function stateAfterTake(state: ShowState, target: Target, layerId: string, atMs: number): ShowState {
  const slots: Record<string, Slot> = {};
  for (const [id, slot] of Object.entries(state.slots)) slots[id] = settled(pageAt(slot, atMs));
  const page = sameAnchor(target.step, LEAVE_ANCHOR) ? null : target;
  return { ...state, slots: { ...slots, [layerId]: settled(page) } };
}

/** Only one page and nothing else, at rest: what Prepare shows beside the words. */
export function stateWithOnly(state: ShowState, target: Target, layerId: string): ShowState {
  const slots = Object.fromEntries(Object.keys(state.slots).map((id): [string, Slot] => [id, []]));
  return { ...state, slots: { ...slots, [layerId]: settled(target) } };
}

function settled(page: Target | null): Slot {
  return page ? [{ startAtMs: 0, sinceMs: 0, page, how: "settled", endsAtMs: null, lastsMs: 0 }] : [];
}
