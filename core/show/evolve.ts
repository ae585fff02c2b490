import { LONGEST_MOTION_MS } from "../motion/track.ts";
import type { AirEvent, LoggedEvent } from "./events.ts";
import { addToLayer, type Layered, pagesOn } from "./layers.ts";
import { EMPTY_SLOT, type Moment } from "./slot.ts";
import type { ShowState } from "./state.ts";

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
      const airRevision = state.airRevision + 1;
      const { takeId, layerId, page, outputIds, how, startAtMs, endsAtMs, lastsMs } = event;
      const before = pagesOn(state, layerId, startAtMs);
      const common = before.get(null) ?? null;
      const kept = outputIds ?? [...before.keys()].filter((id) => id !== null);
      return {
        ...state,
        ...addToLayer(state, layerId, outputIds, () => ({ startAtMs, page, how, endsAtMs, lastsMs })),
        airRevision,
        arm: null,
        position: { cueId: event.target.cueId, cueIndex: event.cueIndex, step: event.target.step },
        recentTakeIds: [...state.recentTakeIds, takeId].slice(-REMEMBERED_TAKES),
        undo: {
          takeId,
          layerId,
          airRevision,
          page: common,
          outputIds,
          perOutput: Object.fromEntries(
            kept.map((id) => [id, before.get(id) ?? (before.has(id) ? null : common)]),
          ),
          arm: state.arm,
          position: state.position,
          plan: state.planBefore?.untilMs === startAtMs ? state.planBefore.plan : null,
        },
      };
    }
    case "cleared": {
      const { startAtMs, how } = event;
      const gone: Omit<Moment, "sinceMs"> = {
        startAtMs,
        page: null,
        how,
        endsAtMs: null,
        lastsMs: LONGEST_MOTION_MS,
      };
      const { slots, overrides } = event.layerIds.reduce<Layered>(
        (layered, layerId) => addToLayer(layered, layerId, null, () => gone),
        state,
      );
      return { ...state, slots, overrides, airRevision: state.airRevision + 1 };
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
      const { layerId, page, outputIds, perOutput, arm, position, plan } = undo;
      const planBack = plan && {
        plan,
        planBefore: { plan: state.plan, untilMs: event.startAtMs },
      };
      const back = (outputId: string | null): Omit<Moment, "sinceMs"> => ({
        startAtMs: event.startAtMs,
        page: outputId === null ? page : (perOutput[outputId] ?? null),
        how: "animated",
        endsAtMs: null,
        lastsMs: LONGEST_MOTION_MS,
      });
      return {
        ...state,
        ...addToLayer(state, layerId, outputIds, back),
        ...planBack,
        airRevision: state.airRevision + 1,
        arm,
        position,
        undo: null,
      };
    }
  }
}
