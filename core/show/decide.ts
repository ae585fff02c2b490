import { textPlaceOf } from "../rundown/textPlace.ts";
import { withBus } from "../venue/source.ts";
import { type Actor, isHand, sameActor } from "./actor.ts";
import type { Command } from "./commands.ts";
import { decideClear, decideShut } from "./decideClear.ts";
import { decideClip } from "./decideClip.ts";
import { type DecideContext, type Decision, NOTHING } from "./decideContext.ts";
import { sendLayer } from "./decideSend.ts";
import { decideOtherAtSource, decideSources } from "./decideSources.ts";
import { findStageNote, STAGE_NOTE } from "./decideStageNote.ts";
import { decideTake, findFault } from "./decideTake.ts";
import { pagesOn, slotsOn } from "./layers.ts";
import { armBeneath, isAside, isSameStep, stepAt, type Target } from "./line.ts";
import { canPause } from "./pauseCountdown.ts";
import { pageAt, type SlotPage } from "./slot.ts";
import type { ShowState } from "./state.ts";
import { changedSince, LINE_PART, PLAN_PART, partsMeet } from "./undo.ts";

/** Rules on a command. Pure: the same state, command and context give the same decision. A refusal changes nothing. */
export function decide(state: ShowState, command: Command, context: DecideContext): Decision {
  const { startAtMs, actor, cues } = context;
  switch (command.kind) {
    case "arm": {
      const { target, isJump = false } = command;
      const refused = findFault(target, context);
      if (refused) return { refused };
      const over = isJump ? null : armBeneath(state.arm, target, state.line, actor, cues);
      return { events: [{ kind: "armed", target, isJump, over }] };
    }
    case "disarm":
      return state.arm ? { events: [{ kind: "disarmed" }] } : NOTHING;
    case "take": {
      if (state.recentTakeIds.includes(command.id)) return NOTHING;
      const { target, builtOn } = command;
      const moved = movedBy(state, partsOfTake(target, context), builtOn, actor);
      if (moved) return moved;
      const isJump = command.isJump || (state.arm?.isJump && isSameStep(state.arm.target, target));
      const stays = !isJump && isAside(state.line, target, actor, cues);
      return decideTake(state, target, command.id, command.how, stays, context);
    }
    case "pad":
      // It changes nothing by itself.
      return NOTHING;
    case "clip":
      return decideClip(state, command.does, context);
    case "goOn": {
      const cue = cues.find(({ cueId }) => cueId === command.cueId);
      const aside = state.line.asides.find(({ cueId }) => cueId === command.cueId);
      if (!cue) return { refused: "cueGone" };
      if (!aside) return NOTHING;
      const step = stepAt(cue.content, aside);
      const target = { cueId: cue.cueId, content: cue.hash, step };
      const words = textPlaceOf(cue.content, step);
      return { events: [{ kind: "lineMoved", target, cueIndex: cue.index, words }] };
    }
    case "out": {
      const { layerId, outputIds = null, seen = null } = command;
      if (!state.slots[layerId]) return { refused: "noSuchLayer" };
      if (seen !== null) {
        const there = [...pagesOn(state, layerId, startAtMs)].filter(
          ([id]) => outputIds === null || id === null || outputIds.includes(id),
        );
        if (!there.some(([, page]) => page?.cueId === seen)) return { refused: "outMoved" };
      }
      return decideClear(state, [layerId], outputIds, "out", command.how, context);
    }
    case "clear": {
      const passing = state.layers.filter((layer) => !layer.persistent).map((layer) => layer.id);
      return decideClear(state, passing, null, "clear", command.how, context);
    }
    case "clearEverything": {
      const all = state.layers.map((layer) => layer.id);
      return decideClear(state, all, null, "clearEverything", command.how, context);
    }
    case "pauseCountdown": {
      const { layerId, isPaused } = command;
      if (!state.slots[layerId]) return { refused: "noSuchLayer" };
      const any = slotsOn(state, layerId).some(([, slot]) => canPause(slot, isPaused, startAtMs));
      return any ? { events: [{ kind: "countdownPaused", layerId, isPaused, startAtMs }] } : NOTHING;
    }
    case "switchPlan": {
      const moved = movedBy(state, [PLAN_PART], command.builtOn, actor);
      if (moved) return moved;
      const plan = context.findPlan(command.planId);
      if (!plan) return { refused: "noSuchPlan" };
      return { events: [{ kind: "planSwitched", plan, by: "hand", startAtMs }] };
    }
    case "test": {
      const { picture } = command;
      const wanted = context.outputIds.filter((id) => command.outputIds?.includes(id) ?? true);
      const gone = picture === null && command.outputIds === null ? Object.keys(state.tests) : [];
      const outputIds = [...new Set([...wanted, ...gone])].filter(
        (id) => (state.tests[id]?.picture ?? null) !== picture,
      );
      if (outputIds.length === 0) return NOTHING;
      return { events: [{ kind: "tested", outputIds, picture, sinceMs: startAtMs }] };
    }
    case "undo": {
      const act = state.acts.find(({ actId }) => actId === command.actId);
      if (!act) return { refused: "nothingToUndo" };
      const changed = changedSince(state, act);
      if (changed) return { refused: "undoTooLate", by: changed.by };
      return { events: [{ kind: "undone", actId: act.actId, startAtMs }] };
    }
    case "send": {
      const layerIds = command.layerId === null ? state.layers.map(({ id }) => id) : [command.layerId];
      const cueFor = (page: SlotPage) => cues.find(({ cueId }) => cueId === page.cueId);
      const events = layerIds.flatMap((layerId) => sendLayer(state, layerId, cueFor, context));
      return events.length === 0 ? { refused: "nothingHeld" } : { events };
    }
    case "shut":
      return decideShut(state, command.outputIds, command.picture, context);
    case "stageNote": {
      const text = command.text.trim();
      if (text === "")
        return pageAt(state.stageNote, startAtMs)
          ? { events: [{ kind: "stageNoted", takeId: null, page: null, startAtMs }] }
          : NOTHING;
      const page = findStageNote(STAGE_NOTE, text, context);
      return page
        ? { events: [{ kind: "stageNoted", takeId: null, page, startAtMs }] }
        : { refused: "noStage" };
    }
    case "setLayer": {
      const layer = state.layers.find(({ id }) => id === command.layerId);
      if (!layer) return { refused: "noSuchLayer" };
      const { how, opacity, persistent, effectMs, turns = layer.turns } = command;
      return {
        events: [{ kind: "layerSet", layer: { ...layer, how, opacity, persistent, effectMs, turns } }],
      };
    }
    case "setStandBy":
      return { events: [{ kind: "standBySet", picture: command.picture }] };
    case "beginAnew":
      return { events: [{ kind: "begunAnew" }] };
    case "setSources":
      return decideSources(state, withBus(state.sources, command.bus, command.sourceIds), false, startAtMs);
    case "stopTriggers":
      return state.triggers.areStopped === command.areStopped
        ? NOTHING
        : { events: [{ kind: "triggersSet", areStopped: command.areStopped }] };
    case "keepLayer": {
      const { layerId, isHeld } = command;
      if (!state.slots[layerId]) return { refused: "noSuchLayer" };
      return state.triggers.heldLayers.includes(layerId) === isHeld
        ? NOTHING
        : { events: [{ kind: "layerKept", layerId, isHeld }] };
    }
    case "otherAtSource":
      return decideOtherAtSource(state, command.id, context);
    case "hold":
      return { events: state.due.map((due) => ({ kind: "dueHeld", due, why: "pressed" }) as const) };
  }
}

/** The refusal of a press that was built on an air which another desk has changed in these parts since. */
function movedBy(
  { touched }: ShowState,
  parts: readonly string[],
  builtOn: number,
  actor: Actor,
): { readonly refused: "airMoved"; readonly by: Actor | null } | undefined {
  for (const [part, { airRevision, by }] of Object.entries(touched))
    if (airRevision > builtOn && isHand(by) && !sameActor(by, actor))
      if (parts.some((own) => partsMeet(own, part))) return { refused: "airMoved", by };
  return undefined;
}

/** What a take stands on: the line, the plan, and the layers it goes to or takes off. */
function partsOfTake({ cueId }: Target, { cues }: DecideContext): string[] {
  const content = cues.find((cue) => cue.cueId === cueId)?.content;
  return [LINE_PART, PLAN_PART, ...(content ? (content.action?.clear ?? [content.layerId]) : [])];
}
