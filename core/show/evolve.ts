import { LONGEST_MOTION_MS } from "../motion/track.ts";
import type { AirEvent, LoggedEvent } from "./events.ts";
import { type Due, isSameDue } from "./followAndRepeat.ts";
import { addToLayer, type Layered, slotOn } from "./layers.ts";
import { addAside, armAfterTake, moveLine, NO_LINE, placeLine } from "./line.ts";
import { pauseLayer } from "./pauseCountdown.ts";
import type { Shutter } from "./shutter.ts";
import { addMoment, EMPTY_SLOT, plainMoment, type Slot, type SlotPage } from "./slot.ts";
import type { ShowState } from "./state.ts";
import { NO_SOURCES, NO_TRIGGERS, type SourcesState } from "./triggersState.ts";
import { remember, undoAct } from "./undo.ts";

/** Takes remembered so that one that arrives twice does nothing twice. */
const REMEMBERED_TAKES = 64;

/**
 * The state after one event. Pure; the first event of a show is `showOpened`.
 * @throws when events are applied out of order or the log does not begin with `showOpened`
 */
export function evolve(state: ShowState | undefined, logged: LoggedEvent): ShowState {
  const { event } = logged;
  if (event.kind === "showOpened") {
    if (state) throw new Error(`Show ${state.showId} is open already at event ${state.seq}`);
    return {
      showId: event.showId,
      seq: logged.seq,
      layers: event.layers,
      timeZone: event.timeZone,
      slots: Object.fromEntries(event.layers.map((layer) => [layer.id, EMPTY_SLOT])),
      overrides: {},
      due: [],
      shutters: {},
      standBy: null,
      stageNote: EMPTY_SLOT,
      cueTimes: {},
      plan: event.plan,
      handPlan: event.plan,
      planBefore: null,
      tests: {},
      arm: null,
      line: NO_LINE,
      airRevision: 0,
      recentTakeIds: [],
      acts: [],
      touched: {},
      sources: NO_SOURCES,
      triggers: NO_TRIGGERS,
      clip: null,
    };
  }
  if (!state) throw new Error(`The log begins with "${event.kind}" instead of "showOpened"`);
  if (logged.seq !== state.seq + 1) throw new Error(`Event ${logged.seq} does not follow ${state.seq}`);
  return { ...remember(state, apply(state, event, logged), logged), seq: logged.seq };
}

function apply(
  state: ShowState,
  event: Exclude<AirEvent, { kind: "showOpened" }>,
  logged: LoggedEvent,
): ShowState {
  switch (event.kind) {
    case "armed":
      if (!logged.actor) throw new Error(`Event ${logged.seq} arms for nobody`);
      return {
        ...state,
        arm: { target: event.target, by: logged.actor, isJump: event.isJump, over: event.over },
      };
    case "disarmed":
      return { ...state, arm: null };
    case "taken": {
      const { layerId, page, outputIds, how, startAtMs, endsAtMs, lastsMs, effectMs, isAnew } = event;
      const taken = goAlong(state, event);
      return {
        ...taken,
        ...addToLayer(state, layerId, outputIds, () => ({
          startAtMs,
          page,
          how,
          endsAtMs,
          lastsMs,
          effectMs,
          ...(isAnew && { sinceMs: startAtMs, paused: [] }),
        })),
        due: withoutRepeats(taken.due, [layerId]),
      };
    }
    case "acted":
      return goAlong(state, event);
    case "lineMoved": {
      const { target, cueIndex, words } = event;
      const { cueId, step } = target;
      return { ...state, line: moveLine(state.line, { cueId, cueIndex, step, words }), arm: null };
    }
    case "sent": {
      const { layerId, pages, place, startAtMs } = event;
      const again = (slot: Slot, page: SlotPage) =>
        addMoment(slot, {
          startAtMs,
          page,
          how: "animated",
          endsAtMs: slot.at(-1)?.endsAtMs ?? null,
          lastsMs: slot.at(-1)?.lastsMs ?? LONGEST_MOTION_MS,
          effectMs: slot.at(-1)?.effectMs ?? null,
        });
      const slots = { ...state.slots };
      const own = { ...state.overrides[layerId] };
      for (const [outputId, page] of Object.entries(pages)) {
        const slot = slotOn(state, layerId, outputId);
        if (outputId === "") slots[layerId] = again(slot, page);
        else own[outputId] = again(slot, page);
      }
      const overrides =
        Object.keys(own).length > 0 ? { ...state.overrides, [layerId]: own } : state.overrides;
      return { ...state, line: place ? placeLine(state.line, place) : state.line, slots, overrides };
    }
    case "repeated": {
      const { layerId, outputIds, page, startAtMs, endsAtMs, lastsMs, effectMs, due } = event;
      return {
        ...state,
        ...addToLayer(state, layerId, outputIds, () => ({
          startAtMs,
          page,
          how: "animated",
          endsAtMs,
          lastsMs,
          effectMs,
        })),
        due: [...withoutRepeats(state.due, [layerId]), due].sort((a, b) => a.atMs - b.atMs),
      };
    }
    case "dueSet":
      return { ...state, due: withDue(state.due, event.due) };
    case "dueHeld":
      return { ...state, due: without(state.due, event.due) };
    case "shut": {
      const { outputIds, picture, byAll, startAtMs } = event;
      const shutters: Record<string, Shutter> = {};
      for (const [id, shutter] of Object.entries(state.shutters))
        if (shutter.untilMs === null || shutter.untilMs + LONGEST_MOTION_MS > startAtMs)
          shutters[id] = shutter;
      for (const id of outputIds) {
        const open = shutters[id];
        if (picture)
          shutters[id] = { picture, standBy: state.standBy, sinceMs: startAtMs, untilMs: null, byAll };
        else if (open) shutters[id] = { ...open, untilMs: startAtMs };
      }
      return { ...state, shutters };
    }
    case "stageNoted": {
      const { page, startAtMs } = event;
      return { ...state, stageNote: addMoment(state.stageNote, plainMoment(startAtMs, page)) };
    }
    case "screenChanged":
      return state;
    case "standBySet":
      return { ...state, standBy: event.picture };
    case "begunAnew":
      return { ...state, cueTimes: {}, line: NO_LINE, arm: null, due: [] };
    case "layerSet":
      return {
        ...state,
        layers: state.layers.map((layer) => (layer.id === event.layer.id ? event.layer : layer)),
      };
    case "cleared": {
      const { startAtMs, how, takeId, layerIds, outputIds } = event;
      const { slots, overrides } = layerIds.reduce<Layered>((layered, layerId) => {
        const effectMs = state.layers.find(({ id }) => id === layerId)?.effectMs ?? null;
        return addToLayer(layered, layerId, outputIds, () => ({
          ...plainMoment(startAtMs, null),
          how,
          effectMs,
        }));
      }, state);
      const due = outputIds === null ? withoutRepeats(state.due, layerIds) : state.due;
      return { ...state, slots, overrides, due: takeId === null ? withoutFollows(due) : due };
    }
    case "planSwitched":
      return {
        ...state,
        plan: event.plan,
        handPlan: event.by === "hand" ? event.plan : state.handPlan,
        planBefore: { plan: state.plan, untilMs: event.startAtMs },
      };
    case "countdownPaused":
      return { ...state, ...pauseLayer(state, event.layerId, event.isPaused, event.startAtMs) };
    case "tested": {
      const tests = { ...state.tests };
      for (const id of event.outputIds) {
        delete tests[id];
        if (event.picture) tests[id] = { picture: event.picture, sinceMs: event.sinceMs };
      }
      return { ...state, tests };
    }
    case "sourcesChanged":
      return { ...state, sources: sourcesAfter(state.sources, event) };
    case "clipSet":
      return { ...state, clip: event.play };
    case "triggered": {
      const { triggerId, put, chain, startAtMs } = event;
      const { triggers } = state;
      return {
        ...state,
        triggers: {
          ...triggers,
          put: put ? { ...triggers.put, [triggerId]: { ...put, chain, seq: logged.seq } } : triggers.put,
          actedAtMs: [...triggers.actedAtMs.filter((atMs) => atMs > startAtMs - 1_000), startAtMs].slice(
            -100,
          ),
        },
      };
    }
    case "triggerLeft": {
      const { [event.triggerId]: _, ...put } = state.triggers.put;
      return { ...state, triggers: { ...state.triggers, put } };
    }
    case "triggerHeld":
      return state;
    case "triggersSet":
      return {
        ...state,
        // What they have brought is the operator's from then on.
        triggers: { ...state.triggers, areStopped: event.areStopped, put: {} },
        due: state.due.filter(({ kind }) => kind !== "trigger"),
      };
    case "layerKept": {
      const others = state.triggers.heldLayers.filter((id) => id !== event.layerId);
      const heldLayers = event.isHeld ? [...others, event.layerId] : others;
      return { ...state, triggers: { ...state.triggers, heldLayers } };
    }
    case "undone": {
      // An act of before acts were kept is not known any more: what came of it stays.
      const act = state.acts.find(({ actId }) => actId === event.actId);
      return act ? undoAct(state, act, event.startAtMs) : state;
    }
  }
}

/** What every take does besides its pages: where the line stands, what is armed, and what still follows by itself. */
function goAlong(
  state: ShowState,
  { takeId, target, cueIndex, words, startAtMs, line }: Extract<AirEvent, { kind: "taken" | "acted" }>,
): ShowState {
  const { cueId, step } = target;
  const place = { cueId, cueIndex, step, words };
  const moves = line === "moves";
  const isSameCue = state.line.at?.cueId === cueId && cueId in state.cueTimes;
  return {
    ...state,
    line: moves ? moveLine(state.line, place) : line === "stays" ? addAside(state.line, place) : state.line,
    arm: armAfterTake(state.arm, target, moves),
    recentTakeIds:
      state.recentTakeIds.at(-1) === takeId
        ? state.recentTakeIds
        : [...state.recentTakeIds, takeId].slice(-REMEMBERED_TAKES),
    cueTimes: moves && !isSameCue ? { ...state.cueTimes, [cueId]: startAtMs } : state.cueTimes,
    due: moves
      ? withoutFollows(state.due)
      : state.due.filter((due) => due.kind !== "follow" || due.cueId !== cueId),
  };
}

/** One of a trigger takes the place of one that it waited for before. */
const withDue = (all: readonly Due[], due: Due): Due[] =>
  [...all.filter((each) => due.kind !== "trigger" || !isSameDue(each, due)), due].sort(
    (a, b) => a.atMs - b.atMs,
  );

function sourcesAfter(
  before: SourcesState,
  { program, preview, startAtMs }: Extract<AirEvent, { kind: "sourcesChanged" }>,
): SourcesState {
  const sinceMs: Record<string, number> = {};
  for (const [bus, ids] of Object.entries({ program, preview }))
    for (const id of ids) sinceMs[`${bus}/${id}`] = before.sinceMs[`${bus}/${id}`] ?? startAtMs;
  return { program, preview, sinceMs };
}

const without = (all: readonly Due[], gone: Due): Due[] => {
  const said = JSON.stringify(gone);
  return all.filter((due) => JSON.stringify(due) !== said);
};

const withoutRepeats = (all: readonly Due[], layerIds: readonly string[]): Due[] =>
  all.filter((due) => due.kind !== "repeat" || !layerIds.includes(due.layerId));

const withoutFollows = (all: readonly Due[]): Due[] => all.filter(({ kind }) => kind !== "follow");
