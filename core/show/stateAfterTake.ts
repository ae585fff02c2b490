import { sameAnchor } from "../rundown/anchor.ts";
import type { PlanNeed } from "../rundown/cueDoc.ts";
import type { ReadyCue } from "../rundown/readyCue.ts";
import { LEAVE_ANCHOR } from "../rundown/steps.ts";
import { takenTogether } from "../rundown/together.ts";
import type { ScreenPlan } from "../venue/plan.ts";
import type { Actor } from "./actor.ts";
import { isAside, type Target } from "./line.ts";
import { planOfTake } from "./planNeed.ts";
import { pageAt, type Slot } from "./slot.ts";
import type { ShowState } from "./state.ts";

/** Pictures of what is not on air show a page this long after it came: crawls are on their way, countdowns have begun. */
const SHOWN_AFTER_MS = 8_000;

/**
 * The state as it will stand once a target has been taken and all motion is over: what "next" pictures show. What stays
 * goes on as it is: a crawl where it is, a countdown to the same end.
 */
export function stateAfterTake(
  state: ShowState,
  target: Target,
  /** The cues it stands among: those that start with it come too. */
  cues: readonly ReadyCue[],
  atMs: number,
  plans: readonly ScreenPlan[],
): ShowState {
  const at = cues.findIndex(({ cueId }) => cueId === target.cueId);
  const rest = { ...state, planBefore: null, ...atRest(state, atMs) };
  if (at < 0) return rest;
  const stays = !state.arm?.isJump && isAside(state.line, target, PRESS, cues);
  return takenTogether(cues, at, target.step).reduce<ShowState>((before, { cue, step }, index) => {
    const place = cues.findIndex(({ cueId }) => cueId === cue.cueId);
    const need = planOfTake(state, cues, place, step, !stays && index === 0);
    return afterOne(before, cue, step, need, atMs, plans);
  }, rest);
}

/** Whoever presses: the picture is of a press. */
const PRESS: Actor = { kind: "desk", id: "any" };

function afterOne(
  state: ShowState,
  { cueId, hash, content }: ReadyCue,
  step: Target["step"],
  need: PlanNeed | null,
  atMs: number,
  plans: readonly ScreenPlan[],
): ShowState {
  const plan = (need?.otherwise === "switch" && plans.find(({ id }) => id === need.id)) || state.plan;
  const { layerId, only, action } = content;
  const gone = action ? action.clear : [layerId];
  const overrides = Object.fromEntries(Object.entries(state.overrides).filter(([id]) => !gone.includes(id)));
  if (action) {
    const empty = Object.fromEntries(action.clear.map((id): [string, Slot] => [id, []]));
    const { shutter } = action;
    const shut = (): ShowState["shutters"] =>
      shutter === null
        ? state.shutters
        : shutter === "back"
          ? {}
          : Object.fromEntries(
              Object.keys(plan.outputs).map((id) => [
                id,
                {
                  picture: shutter,
                  standBy: state.standBy,
                  sinceMs: atMs - SHOWN_AFTER_MS,
                  untilMs: null,
                  byAll: true,
                },
              ]),
            );
    return { ...state, plan, slots: { ...state.slots, ...empty }, overrides, shutters: shut() };
  }
  const target = { cueId, content: hash, step };
  const taken = sameAnchor(step, LEAVE_ANCHOR) ? [] : settled(target, atMs);
  if (!only) return { ...state, plan, slots: { ...state.slots, [layerId]: taken }, overrides };
  const own = { ...state.overrides[layerId], ...Object.fromEntries(only.map((id) => [id, taken])) };
  return { ...state, plan, overrides: { ...overrides, [layerId]: own } };
}

/** The state as it will stand under another plan, once all motion is over. */
export function stateUnderPlan(state: ShowState, plan: ScreenPlan, atMs: number): ShowState {
  return { ...state, plan, planBefore: null, ...atRest(state, atMs), tests: {} };
}

/** Every slot with what is on it then, and what is shut is shut: no motion. */
function atRest(
  { slots, overrides, shutters }: ShowState,
  atMs: number,
): Pick<ShowState, "slots" | "overrides" | "shutters"> {
  const rest = (slot: Slot): Slot => {
    const last = slot.at(-1);
    const page = pageAt(slot, atMs);
    return page && last ? [{ ...last, page, how: "settled", endsAtMs: null }] : [];
  };
  const restAll = (all: Readonly<Record<string, Slot>>) =>
    Object.fromEntries(Object.entries(all).map(([id, slot]) => [id, rest(slot)]));
  return {
    shutters: Object.fromEntries(
      Object.entries(shutters).flatMap(([id, shutter]) =>
        shutter.untilMs === null ? [[id, { ...shutter, sinceMs: atMs - SHOWN_AFTER_MS }]] : [],
      ),
    ),
    slots: restAll(slots),
    overrides: Object.fromEntries(Object.entries(overrides).map(([id, own]) => [id, restAll(own)])),
  };
}

/** Only one page and nothing else, at rest: what Prepare shows beside the words. */
export function stateWithOnly(state: ShowState, target: Target, layerId: string, atMs: number): ShowState {
  const slots = Object.fromEntries(Object.keys(state.slots).map((id): [string, Slot] => [id, []]));
  return { ...state, slots: { ...slots, [layerId]: settled(target, atMs) }, overrides: {} };
}

function settled(page: Target, atMs: number): Slot {
  const sinceMs = atMs - SHOWN_AFTER_MS;
  const moment = { startAtMs: sinceMs, sinceMs, page, how: "settled", endsAtMs: null, lastsMs: 0 } as const;
  return [{ ...moment, effectMs: null }];
}
