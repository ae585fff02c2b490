import { sameAnchor } from "../rundown/anchor.ts";
import type { PageContent } from "../rundown/content.ts";
import { planNeededAt } from "../rundown/planNeed.ts";
import { LEAVE_ANCHOR, stepsOf } from "../rundown/steps.ts";
import type { ScreenPlan } from "../screens/plan.ts";
import type { Command, Refusal } from "./commands.ts";
import type { AirEvent } from "./events.ts";
import { isFilled } from "./layers.ts";
import type { ShowState, Target } from "./state.ts";

/** What the rundown and the store know that the air does not. */
export interface DecideContext {
  /** Server time of the decision. */
  readonly atMs: number;
  /** When a motion decided now begins on every output: a little ahead, so that all begin on the same frame. */
  readonly startAtMs: number;
  /** The cue as it stands now: its place and the hash its content would be pinned under. */
  readonly findCue: (
    cueId: string,
  ) => { readonly index: number; readonly hash: string; readonly content: PageContent } | undefined;
  readonly findPlan: (planId: string) => ScreenPlan | undefined;
  readonly outputIds: readonly string[];
}

export type Decision = { readonly events: readonly AirEvent[] } | { readonly refused: Refusal };

const NOTHING: Decision = { events: [] };

/** Rules on a command. Pure: the same state, command and context give the same decision. A refusal changes nothing. */
export function decide(state: ShowState, command: Command, context: DecideContext): Decision {
  switch (command.kind) {
    case "arm": {
      const refused = findFault(command.target, context);
      return refused ? { refused } : { events: [{ kind: "armed", target: command.target }] };
    }
    case "disarm":
      return state.arm ? { events: [{ kind: "disarmed" }] } : NOTHING;
    case "take":
      return decideTake(state, command, context);
    case "out":
      if (!state.slots[command.layerId]) return { refused: "noSuchLayer" };
      return decideClear(state, [command.layerId], "out", command.how, context);
    case "clear": {
      const passing = state.layers.filter((layer) => !layer.persistent).map((layer) => layer.id);
      return decideClear(state, passing, "clear", command.how, context);
    }
    case "clearEverything": {
      const all = state.layers.map((layer) => layer.id);
      return decideClear(state, all, "clearEverything", command.how, context);
    }
    case "switchPlan": {
      if (command.builtOn !== state.airRevision) return { refused: "airMoved" };
      const plan = context.findPlan(command.planId);
      if (!plan) return { refused: "noSuchPlan" };
      return { events: [{ kind: "planSwitched", plan, startAtMs: context.startAtMs }] };
    }
    case "test": {
      const { picture } = command;
      const wanted = context.outputIds.filter((id) => command.outputIds?.includes(id) ?? true);
      const gone = picture === null && command.outputIds === null ? Object.keys(state.tests) : [];
      const outputIds = [...new Set([...wanted, ...gone])].filter(
        (id) => (state.tests[id]?.picture ?? null) !== picture,
      );
      if (outputIds.length === 0) return NOTHING;
      return { events: [{ kind: "tested", outputIds, picture, sinceMs: context.startAtMs }] };
    }
    case "undoTake": {
      if (!state.undo) return { refused: "nothingToUndo" };
      if (state.undo.airRevision !== state.airRevision) return { refused: "undoTooLate" };
      return { events: [{ kind: "takeUndone", takeId: state.undo.takeId, startAtMs: context.startAtMs }] };
    }
  }
}

function findFault(target: Target, context: DecideContext): Refusal | undefined {
  const cue = context.findCue(target.cueId);
  if (!cue) return "cueGone";
  if (cue.hash !== target.content) return "contentMoved";
  if (!stepsOf(cue.content).some((step) => sameAnchor(step.anchor, target.step))) return "stepGone";
  return undefined;
}

function decideTake(
  state: ShowState,
  command: Extract<Command, { kind: "take" }>,
  context: DecideContext,
): Decision {
  if (state.recentTakeIds.includes(command.id)) return NOTHING;
  if (command.builtOn !== state.airRevision) return { refused: "airMoved" };
  const { target } = command;
  const fault = findFault(target, context);
  if (fault) return { refused: fault };
  const cue = context.findCue(target.cueId);
  if (!cue) throw new Error(`Cue ${target.cueId} vanished within one decision`);
  const { layerId, stayMs, lastsMs } = cue.content;
  const needed = planNeededAt(cue.content, target.step);
  const switches: AirEvent[] = [];
  if (needed && needed.id !== state.plan.id) {
    const plan = context.findPlan(needed.id);
    if (!plan) return { refused: "noSuchPlan" };
    if (needed.otherwise === "refuse") return { refused: "wrongPlan" };
    switches.push({ kind: "planSwitched", plan, startAtMs: context.startAtMs });
  }
  if (!state.slots[layerId]) return { refused: "noSuchLayer" };
  const outputIds = cue.content.only?.filter((id) => context.outputIds.includes(id)) ?? null;
  if (outputIds?.length === 0) return { refused: "noSuchOutput" };
  const leaves = sameAnchor(target.step, LEAVE_ANCHOR);
  return {
    events: [
      ...switches,
      {
        kind: "taken",
        takeId: command.id,
        target,
        cueIndex: cue.index,
        layerId,
        page: leaves ? null : { cueId: target.cueId, content: target.content, step: target.step },
        outputIds,
        how: command.how,
        startAtMs: context.startAtMs,
        endsAtMs: stayMs === null || leaves ? null : context.startAtMs + stayMs,
        lastsMs,
      },
    ],
  };
}

function decideClear(
  state: ShowState,
  layerIds: readonly string[],
  why: Extract<AirEvent, { kind: "cleared" }>["why"],
  how: Extract<AirEvent, { kind: "cleared" }>["how"],
  context: DecideContext,
): Decision {
  const filled = layerIds.filter((id) => isFilled(state, id, context.startAtMs));
  if (filled.length === 0) return { refused: "nothingThere" };
  return { events: [{ kind: "cleared", layerIds: filled, why, how, startAtMs: context.startAtMs }] };
}
