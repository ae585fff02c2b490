import { NO_LINE, type Target } from "../../core/show/line.ts";
import type { ShowState } from "../../core/show/state.ts";
import { stateWithOnly } from "../../core/show/stateAfterTake.ts";
import { NO_SOURCES, NO_TRIGGERS } from "../../core/show/triggersState.ts";
import type { Layer, ScreenPlan } from "../../core/venue/plan.ts";

/** A state with one page at rest and nothing else: for true pictures of what is not on air. */
export function emptyState(
  layers: readonly Layer[],
  plan: ScreenPlan,
  target: Target,
  layerId: string,
  timeZone: string,
  atMs: number,
): ShowState {
  const empty: ShowState = {
    showId: "picture",
    seq: 0,
    layers: [...layers],
    slots: Object.fromEntries(layers.map(({ id }) => [id, []])),
    overrides: {},
    plan,
    handPlan: null,
    planBefore: null,
    tests: {},
    timeZone,
    arm: null,
    line: NO_LINE,
    airRevision: 0,
    recentTakeIds: [],
    acts: [],
    touched: {},
    due: [],
    shutters: {},
    standBy: null,
    stageNote: [],
    cueTimes: {},
    sources: NO_SOURCES,
    triggers: NO_TRIGGERS,
    clip: null,
  };
  return stateWithOnly(empty, target, layerId, atMs);
}
