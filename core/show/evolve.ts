import { LONGEST_MOTION_MS } from "../motion/track.ts";
import type { Due } from "./due.ts";
import type { AirEvent, LoggedEvent } from "./events.ts";
import { addToLayer, type Layered, pagesOn, slotOn } from "./layers.ts";
import type { Shutter } from "./shutter.ts";
import { addMoment, EMPTY_SLOT, type Moment, pageAt, type Slot, type SlotPage } from "./slot.ts";
import type { ShowState, UndoneLayer } from "./state.ts";

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
      planBefore: null,
      tests: {},
      arm: null,
      position: null,
      airRevision: 0,
      recentTakeIds: [],
      undo: null,
    };
  }
  if (!state) throw new Error(`The log begins with "${event.kind}" instead of "showOpened"`);
  if (logged.seq !== state.seq + 1) throw new Error(`Event ${logged.seq} does not follow ${state.seq}`);
  return { ...apply(state, event, logged), seq: logged.seq };
}

function apply(
  state: ShowState,
  event: Exclude<AirEvent, { kind: "showOpened" }>,
  logged: LoggedEvent,
): ShowState {
  switch (event.kind) {
    case "armed":
      if (!logged.actor) throw new Error(`Event ${logged.seq} arms for nobody`);
      return { ...state, arm: { target: event.target, by: logged.actor } };
    case "disarmed":
      return { ...state, arm: null };
    case "taken": {
      const { layerId, page, outputIds, how, startAtMs, endsAtMs, lastsMs, effectMs } = event;
      const before = pagesOn(state, layerId, startAtMs);
      const common = before.get(null) ?? null;
      const kept = outputIds ?? [...before.keys()].filter((id) => id !== null);
      const was: UndoneLayer = {
        page: common,
        outputIds,
        perOutput: Object.fromEntries(
          kept.map((id) => [id, before.get(id) ?? (before.has(id) ? null : common)]),
        ),
      };
      return {
        ...position(state, event, { [layerId]: was }),
        ...addToLayer(state, layerId, outputIds, () => ({
          startAtMs,
          page,
          how,
          endsAtMs,
          lastsMs,
          effectMs,
        })),
        due: withoutRepeats(state.due, [layerId]).filter(({ kind }) => kind !== "follow"),
      };
    }
    case "acted":
      return {
        ...position(state, event, {}),
        due: state.due.filter(({ kind }) => kind !== "follow"),
      };
    case "sent": {
      const { layerId, pages, startAtMs } = event;
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
      return { ...state, slots, overrides, airRevision: state.airRevision + 1 };
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
      return { ...state, due: [...state.due, event.due].sort((a, b) => a.atMs - b.atMs) };
    case "dueHeld":
      return { ...state, due: without(state.due, event.due) };
    case "shut": {
      const { outputIds, picture, startAtMs } = event;
      const shutters: Record<string, Shutter> = {};
      for (const [id, shutter] of Object.entries(state.shutters))
        if (shutter.untilMs === null || shutter.untilMs + LONGEST_MOTION_MS > startAtMs)
          shutters[id] = shutter;
      for (const id of outputIds) {
        const open = shutters[id];
        if (picture) shutters[id] = { picture, standBy: state.standBy, sinceMs: startAtMs, untilMs: null };
        else if (open) shutters[id] = { ...open, untilMs: startAtMs };
      }
      return { ...state, shutters };
    }
    case "stageNoted": {
      const { takeId, page, startAtMs } = event;
      const { undo } = state;
      const before = pageAt(state.stageNote, startAtMs);
      return {
        ...state,
        stageNote: addMoment(state.stageNote, plainMoment(startAtMs, page)),
        undo: undo && undo.takeId === takeId ? { ...undo, stageNote: before } : undo,
      };
    }
    case "standBySet":
      return { ...state, standBy: event.picture };
    case "begunAnew":
      return { ...state, cueTimes: {}, position: null, arm: null, undo: null, due: [] };
    case "layerSet":
      return {
        ...state,
        layers: state.layers.map((layer) => (layer.id === event.layer.id ? event.layer : layer)),
      };
    case "cleared": {
      const { startAtMs, how, takeId, layerIds } = event;
      const { slots, overrides } = layerIds.reduce<Layered>((layered, layerId) => {
        const effectMs = state.layers.find(({ id }) => id === layerId)?.effectMs ?? null;
        return addToLayer(layered, layerId, null, () => ({
          ...plainMoment(startAtMs, null),
          how,
          effectMs,
        }));
      }, state);
      const airRevision = state.airRevision + 1;
      const due = withoutRepeats(state.due, layerIds);
      if (takeId === null)
        return { ...state, slots, overrides, airRevision, due: due.filter(({ kind }) => kind !== "follow") };
      const layers = Object.fromEntries(layerIds.map((id) => [id, undoneLayer(state, id, startAtMs)]));
      return { ...state, slots, overrides, airRevision, due, undo: undoOf(state, takeId, layers, startAtMs) };
    }
    case "planSwitched":
      return {
        ...state,
        plan: event.plan,
        planBefore: { plan: state.plan, untilMs: event.startAtMs },
        airRevision: state.airRevision + 1,
      };
    case "tested": {
      const tests = { ...state.tests };
      for (const id of event.outputIds) {
        delete tests[id];
        if (event.picture) tests[id] = { picture: event.picture, sinceMs: event.sinceMs };
      }
      return { ...state, tests };
    }
    case "takeUndone": {
      const { undo } = state;
      if (!undo) throw new Error(`Event ${logged.seq} undoes a take that is not there`);
      const { layers, arm, position, plan, stageNote } = undo;
      const { startAtMs } = event;
      const planBack = plan && { plan, planBefore: { plan: state.plan, untilMs: startAtMs } };
      const { slots, overrides } = Object.entries(layers).reduce<Layered>(
        (layered, [layerId, { page, outputIds, perOutput }]) =>
          addToLayer(layered, layerId, outputIds, (outputId) =>
            plainMoment(startAtMs, outputId === null ? page : (perOutput[outputId] ?? null)),
          ),
        state,
      );
      return {
        ...state,
        slots,
        overrides,
        ...planBack,
        ...(stageNote !== undefined && {
          stageNote: addMoment(state.stageNote, plainMoment(startAtMs, stageNote)),
        }),
        airRevision: state.airRevision + 1,
        arm,
        position,
        undo: null,
        due: withoutRepeats(state.due, Object.keys(layers)).filter(({ kind }) => kind !== "follow"),
      };
    }
  }
}

/** What every take does besides its pages: where the show stands, and what undo would bring back. */
function position(
  state: ShowState,
  { takeId, target, cueIndex, startAtMs }: Extract<AirEvent, { kind: "taken" | "acted" }>,
  layers: Readonly<Record<string, UndoneLayer>>,
): ShowState {
  const isMore = state.undo?.takeId === takeId;
  return {
    ...state,
    airRevision: state.airRevision + 1,
    arm: null,
    position: { cueId: target.cueId, cueIndex, step: target.step },
    recentTakeIds: isMore ? state.recentTakeIds : [...state.recentTakeIds, takeId].slice(-REMEMBERED_TAKES),
    undo: undoOf(state, takeId, layers, startAtMs),
    cueTimes:
      target.cueId in state.cueTimes ? state.cueTimes : { ...state.cueTimes, [target.cueId]: startAtMs },
  };
}

/** What undo brings back: all that the events of one take have changed. */
function undoOf(
  state: ShowState,
  takeId: string,
  layers: Readonly<Record<string, UndoneLayer>>,
  startAtMs: number,
): NonNullable<ShowState["undo"]> {
  const airRevision = state.airRevision + 1;
  const { undo } = state;
  const switched = state.planBefore?.untilMs === startAtMs ? state.planBefore.plan : null;
  if (undo?.takeId === takeId)
    return { ...undo, airRevision, layers: { ...layers, ...undo.layers }, plan: undo.plan ?? switched };
  return {
    takeId,
    airRevision,
    layers,
    arm: state.arm,
    position: state.position,
    plan: switched,
  };
}

function undoneLayer(state: ShowState, layerId: string, atMs: number): UndoneLayer {
  const pages = pagesOn(state, layerId, atMs);
  const own = [...pages].flatMap(([id, page]) => (id === null ? [] : [[id, page] as const]));
  return { page: pages.get(null) ?? null, outputIds: null, perOutput: Object.fromEntries(own) };
}

/** A page that comes by its own motion and stays; null: nothing from then on. */
const plainMoment = (startAtMs: number, page: SlotPage | null): Omit<Moment, "sinceMs"> => ({
  startAtMs,
  page,
  how: "animated",
  endsAtMs: null,
  lastsMs: LONGEST_MOTION_MS,
  effectMs: null,
});

const without = (all: readonly Due[], gone: Due): Due[] => {
  const said = JSON.stringify(gone);
  return all.filter((due) => JSON.stringify(due) !== said);
};

const withoutRepeats = (all: readonly Due[], layerIds: readonly string[]): Due[] =>
  all.filter((due) => due.kind !== "repeat" || !layerIds.includes(due.layerId));
