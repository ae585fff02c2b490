import { LEAVE_ANCHOR, sameAnchor } from "../rundown/steps.ts";
import { pageAt, type Slot } from "../show/slot.ts";
import type { ShowState, Target } from "../show/state.ts";
import type { ScreenPlan } from "./plan.ts";

/** Pictures of what is not on air show a page this long after it came: crawls are on their way, countdowns have begun. */
const SHOWN_AFTER_MS = 8_000;

/**
 * The state as it will stand once a target has been taken and all motion is over: what "next" pictures show. What stays
 * goes on as it is: a crawl where it is, a countdown to the same end.
 */
export function stateAfterTake(
  state: ShowState,
  target: Target,
  layerId: string,
  atMs: number,
  plan: ScreenPlan = state.plan,
): ShowState {
  const slots: Record<string, Slot> = {};
  for (const [id, slot] of Object.entries(state.slots)) {
    const last = slot.at(-1);
    const page = pageAt(slot, atMs);
    slots[id] = page && last ? [{ ...last, page, how: "settled", endsAtMs: null }] : [];
  }
  const page = sameAnchor(target.step, LEAVE_ANCHOR) ? null : target;
  return {
    ...state,
    plan,
    planBefore: null,
    slots: { ...slots, [layerId]: page ? settled(page, atMs) : [] },
  };
}

/** The state as it will stand under another plan, once all motion is over. */
export function stateUnderPlan(state: ShowState, plan: ScreenPlan, atMs: number): ShowState {
  const slots = Object.fromEntries(
    Object.entries(state.slots).map(([id, slot]): [string, Slot] => {
      const last = slot.at(-1);
      const page = pageAt(slot, atMs);
      return [id, page && last ? [{ ...last, page, how: "settled", endsAtMs: null }] : []];
    }),
  );
  return { ...state, plan, planBefore: null, slots, tests: {} };
}

/** Only one page and nothing else, at rest: what Prepare shows beside the words. */
export function stateWithOnly(state: ShowState, target: Target, layerId: string, atMs: number): ShowState {
  const slots = Object.fromEntries(Object.keys(state.slots).map((id): [string, Slot] => [id, []]));
  return { ...state, slots: { ...slots, [layerId]: settled(target, atMs) } };
}

function settled(page: Target, atMs: number): Slot {
  const sinceMs = atMs - SHOWN_AFTER_MS;
  return [{ startAtMs: sinceMs, sinceMs, page, how: "settled", endsAtMs: null, lastsMs: 0 }];
}
