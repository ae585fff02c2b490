import { nextTimeOfDay } from "../figures/clockText.ts";
import { stepsOf } from "../rundown/steps.ts";
import { takenTogether } from "../rundown/together.ts";
import { bringsPage, type TriggerAct } from "../triggers/acts.ts";
import type { Condition } from "../triggers/conditions.ts";
import { nameOfTrigger, type Trigger } from "../triggers/trigger.ts";
import type { TriggerNames } from "../triggers/triggerNames.ts";
import type { Actor } from "./actor.ts";
import type { Touch } from "./acts.ts";
import { decideClip } from "./decideClip.ts";
import { type DecideContext, type Decision, NOTHING } from "./decideContext.ts";
import { decideTake, findFault } from "./decideTake.ts";
import type { AirEvent } from "./events.ts";
import type { Due } from "./followAndRepeat.ts";
import { isFilled, pagesOn } from "./layers.ts";
import type { ShowState } from "./state.ts";
import { sharesSource } from "./tiedToSource.ts";
import { LONGEST_CHAIN, type WhyTriggerHeld } from "./triggersState.ts";
import { CLIP_PART, partsMeet } from "./undo.ts";

/** What the venue has set that triggers need to know. */
export interface TriggerContext extends DecideContext {
  readonly triggers: readonly Trigger[];
  readonly names: TriggerNames;
  /** So many acts of triggers in any second, and no more. */
  readonly mostActsPerSecond: number;
}

/** A trigger that was set off, or whose cause is over. */
export interface Firing {
  readonly trigger: Trigger;
  readonly isEnd: boolean;
  /** What set it off, in words. */
  readonly why: string;
  /** The triggers before it. */
  readonly chain: readonly string[];
  /** The last event before it was set off. */
  readonly setSeq: number;
}

/** Who a trigger is, for all that it does. */
export const actorOf = (trigger: Trigger, names: TriggerNames): Actor => ({
  kind: "trigger",
  id: trigger.id,
  name: nameOfTrigger(trigger, names).slice(0, 40),
});

/** Rules on a trigger that was set off: it waits for its delay, or acts; or what it has brought leaves. */
export function decideFiring(state: ShowState, firing: Firing, context: TriggerContext): Decision {
  const { trigger, isEnd, why, chain, setSeq } = firing;
  if (state.triggers.areStopped) return NOTHING;
  if (isEnd) return decideEnd(state, trigger, context);
  if (!trigger.onlyWhile.every((condition) => holds(condition, state, context))) return NOTHING;
  if (chain.includes(trigger.id) || chain.length >= LONGEST_CHAIN) return decideHeld(firing, "loop", context);
  if (trigger.delayMs === 0) return decideAct(state, firing, context);
  const name = nameOfTrigger(trigger, context.names);
  const atMs = context.startAtMs + trigger.delayMs;
  const due: Due = { kind: "trigger", triggerId: trigger.id, name, why, setSeq, chain: [...chain], atMs };
  return { events: [{ kind: "dueSet", due }] };
}

/** Rules on a trigger whose delay is over. */
export function decideDelayed(state: ShowState, firing: Firing, context: TriggerContext): Decision {
  if (state.triggers.areStopped) return NOTHING;
  return firing.trigger.onlyWhile.every((condition) => holds(condition, state, context))
    ? decideAct(state, firing, context)
    : NOTHING;
}

function decideAct(state: ShowState, firing: Firing, context: TriggerContext): Decision {
  const { trigger, why, chain } = firing;
  const { act } = trigger;
  const lately = state.triggers.actedAtMs.filter((atMs) => atMs > context.atMs - 1_000);
  if (lately.length >= context.mostActsPerSecond) return decideHeld(firing, "tooMany", context);
  const did = (events: readonly AirEvent[], put: { cueId: string; layerId: string } | null): Decision => ({
    events: [
      ...events,
      {
        kind: "triggered",
        triggerId: trigger.id,
        name: nameOfTrigger(trigger, context.names),
        why,
        act,
        put,
        chain: [...chain],
        startAtMs: context.startAtMs,
      },
    ],
  });
  switch (act.kind) {
    case "take":
    case "countdown": {
      const made = decidePage(state, firing, act, context);
      if ("held" in made) return decideHeld(firing, made.held, context, made.by);
      return did(made.events, made.put);
    }
    case "arm": {
      const target = firstStepOf(act.cueId, context);
      if (!target || findFault(target, context)) return decideHeld(firing, "gone", context);
      // A hand that has armed something means it.
      if (state.arm && state.arm.by.kind !== "trigger")
        return decideHeld(firing, "hand", context, { by: state.arm.by });
      return did([{ kind: "armed", target, isJump: false, over: null }], null);
    }
    case "out": {
      if (!state.slots[act.layerId]) return decideHeld(firing, "gone", context);
      const kept = whyKept(state, act.layerId, firing, context);
      if (kept) return decideHeld(firing, kept.held, context, kept.by);
      if (!isFilled(state, act.layerId, context.startAtMs)) return NOTHING;
      return did([outOf(act.layerId, trigger, context)], null);
    }
    case "plan": {
      const plan = context.findPlan(act.planId);
      if (!plan) return decideHeld(firing, "gone", context);
      if (plan.id === state.plan.id) return NOTHING;
      const touch = state.touched["/plan"];
      if (touch && touch.seq > firing.setSeq && touch.by?.kind !== "trigger")
        return decideHeld(firing, "hand", context, touch);
      return did([{ kind: "planSwitched", plan, by: "script", startAtMs: context.startAtMs }], null);
    }
    case "clip": {
      const touch = state.touched[CLIP_PART];
      if (touch && touch.seq > firing.setSeq && touch.by?.kind === "desk")
        return decideHeld(firing, "hand", context, touch);
      const decision = decideClip(state, act.does, context);
      return "refused" in decision ? decideHeld(firing, "gone", context) : did(decision.events, null);
    }
    case "nextRow":
    case "message":
      return did([], null);
  }
}

/** The page that a trigger brings, with all that comes with it; or why it does not. */
function decidePage(
  state: ShowState,
  firing: Firing,
  act: Extract<TriggerAct, { kind: "take" | "countdown" }>,
  context: TriggerContext,
): { readonly events: readonly AirEvent[]; readonly put: { cueId: string; layerId: string } | null } | Kept {
  const { trigger } = firing;
  const target = firstStepOf(act.cueId, context);
  const at = context.cues.findIndex(({ cueId }) => cueId === act.cueId);
  if (!target || at < 0) return { held: "gone" };
  const together = takenTogether(context.cues, at, target.step);
  for (const { cue } of together)
    for (const layerId of cue.content.action?.clear ?? [cue.content.layerId]) {
      const kept = whyKept(state, layerId, firing, context);
      if (kept) return kept;
    }
  const how = act.kind === "take" ? act.how : "usual";
  const decision = decideTake(state, target, takeIdOf(trigger, context), how, true, context);
  if ("refused" in decision) return { held: "gone" };
  const events = decision.events.map((event): AirEvent => {
    if (event.kind !== "taken" || event.target.cueId !== act.cueId) return event;
    const { stay } = trigger;
    const endsAtMs =
      stay.kind === "asCue" ? event.endsAtMs : stay.kind === "for" ? event.startAtMs + stay.ms : null;
    return { ...event, endsAtMs, ...(act.kind === "countdown" && { isAnew: true }) };
  });
  const { layerId, action } = (together[0] as (typeof together)[number]).cue.content;
  return { events, put: action ? null : { cueId: act.cueId, layerId } };
}

/** What a trigger has brought leaves, unless it is not its any more. */
function decideEnd(state: ShowState, trigger: Trigger, context: TriggerContext): Decision {
  if (!trigger.leavesWith || !bringsPage(trigger.act)) return NOTHING;
  const events: AirEvent[] = state.due
    .filter((due) => due.kind === "trigger" && due.triggerId === trigger.id)
    .map((due) => ({ kind: "dueHeld", due, why: "over" }));
  const put = state.triggers.put[trigger.id];
  if (!put) return { events };
  const name = nameOfTrigger(trigger, context.names);
  // A key may have brought another who is at the same source.
  const own = [put.cueId, ...sharesSource(context.cues, put.cueId).map(({ cueId }) => cueId)];
  const isThere = [...pagesOn(state, put.layerId, context.startAtMs).values()].some(
    (page) => page && own.includes(page.cueId),
  );
  const { startAtMs } = context;
  const gone = { kind: "triggerLeft", triggerId: trigger.id, name, startAtMs } as const;
  if (!isThere) return { events: [...events, gone] };
  const by = touchedSince(state, put.layerId, put.seq);
  if (by) return { events: [...events, gone] };
  if (state.triggers.heldLayers.includes(put.layerId)) {
    const why = { kind: "triggerHeld", triggerId: trigger.id, name, why: "layerHeld", by: null } as const;
    return { events: [...events, gone, why] };
  }
  return { events: [...events, outOf(put.layerId, trigger, context), gone] };
}

interface Kept {
  readonly held: WhyTriggerHeld;
  readonly by?: Pick<Touch, "by">;
}

/** Why a trigger leaves a layer alone; undefined: it may act on it. */
function whyKept(
  state: ShowState,
  layerId: string,
  { trigger, setSeq }: Firing,
  { startAtMs }: TriggerContext,
): Kept | undefined {
  if (state.triggers.heldLayers.includes(layerId)) return { held: "layerHeld" };
  const newest = newestTouch(state, layerId);
  if (!newest || newest.by === null || newest.by.kind === "trigger") return undefined;
  // What a hand has done to it since counts even where it has emptied it.
  if (newest.seq > setSeq) return { held: "hand", by: newest };
  if (!isFilled(state, layerId, startAtMs)) return undefined;
  return trigger.mayReplaceHand ? undefined : { held: "hand", by: newest };
}

/** Who has changed a layer last, on whichever outputs. */
function newestTouch({ touched }: ShowState, layerId: string): Touch | undefined {
  let newest: Touch | undefined;
  for (const [part, touch] of Object.entries(touched))
    if (partsMeet(layerId, part) && touch.seq > (newest?.seq ?? -1)) newest = touch;
  return newest;
}

/** Whoever has changed a layer after an event; undefined: nobody. */
function touchedSince(state: ShowState, layerId: string, seq: number): Touch | undefined {
  const newest = newestTouch(state, layerId);
  return newest && newest.seq > seq ? newest : undefined;
}

function firstStepOf(cueId: string, { cues }: TriggerContext) {
  const cue = cues.find((each) => each.cueId === cueId);
  const [first] = cue ? stepsOf(cue.content) : [];
  return cue && first && { cueId, content: cue.hash, step: first.anchor };
}

const outOf = (layerId: string, trigger: Trigger, context: TriggerContext): AirEvent => ({
  kind: "cleared",
  // What follows in the script goes on: this was no press.
  takeId: takeIdOf(trigger, context),
  layerIds: [layerId],
  outputIds: null,
  why: "out",
  how: "animated",
  startAtMs: context.startAtMs,
});

const takeIdOf = ({ id }: Trigger, { atMs }: TriggerContext) => `trigger-${id}-${Math.round(atMs)}`;

/** It is told why it does nothing. */
export function decideHeld(
  { trigger }: Firing,
  why: WhyTriggerHeld,
  { names }: TriggerContext,
  by?: Pick<Touch, "by">,
): Decision {
  const name = nameOfTrigger(trigger, names);
  return { events: [{ kind: "triggerHeld", triggerId: trigger.id, name, why, by: by?.by ?? null }] };
}

function holds(condition: Condition, state: ShowState, { startAtMs }: TriggerContext): boolean {
  switch (condition.kind) {
    case "plan":
      return state.plan.id === condition.planId;
    case "onAir":
      return (
        state.layers.some(({ id }) =>
          [...pagesOn(state, id, startAtMs).values()].some((page) => page?.cueId === condition.cueId),
        ) === condition.isOn
      );
    case "source":
      return state.sources[condition.bus].includes(condition.sourceId) === condition.isOn;
    case "empty":
      return !isFilled(state, condition.layerId, startAtMs);
    case "between": {
      // Whichever of the two comes next says on which side of them it is now.
      const next = (time: string) => {
        const [hours = 0, minutes = 0, seconds = 0] = time.split(":").map(Number);
        return nextTimeOfDay(startAtMs, { hours, minutes, seconds }, state.timeZone);
      };
      return next(condition.to) <= next(condition.from);
    }
  }
}
