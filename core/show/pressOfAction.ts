import { type AirAction, layerOfAction } from "../keys/keyMap.ts";
import { chorusFrom } from "../rundown/sections.ts";
import { actToUndo } from "./acts.ts";
import type { Command } from "./commands.ts";
import type { DecideContext } from "./decideContext.ts";
import { pagesOn } from "./layers.ts";
import type { Target } from "./line.ts";
import { outTarget } from "./meaning.ts";
import { lastTarget, neighbourCue } from "./neighbourCue.ts";
import { findNeighbour, findNext } from "./next.ts";
import type { ShowState } from "./state.ts";

type Distribute<T> = T extends { id: string } ? Omit<T, "id"> : never;
/** A command before it has its id. */
export type Press = Distribute<Command>;

/**
 * What an action of the keys asks for when a device presses it that sees nothing: the same as the key at a desk would ask for.
 * Undefined: it asks for nothing now, or is of a desk's own window (its lock, its boxes).
 */
export function pressOfAction(
  action: AirAction,
  state: ShowState,
  { cues, clips, startAtMs, actor }: Pick<DecideContext, "cues" | "clips" | "startAtMs" | "actor">,
): Press | undefined {
  const take = (how: "usual" | "cut" | "dissolve"): Press | undefined => {
    const next = findNext(state, cues);
    return next && { kind: "take", target: next, how, builtOn: state.airRevision };
  };
  const arm = (target: Target | undefined, isJump = true): Press | undefined =>
    target && { kind: "arm", target, ...(isJump && { isJump }) };
  const from = findNext(state, cues) ?? lastTarget(cues);
  const { at } = state.line;
  const here = at && cues.find(({ cueId }) => cueId === at.cueId);
  switch (action) {
    case "take":
      return take("usual");
    case "cut":
      return take("cut");
    case "dissolve":
      return take("dissolve");
    case "out": {
      const target = outTarget(state, startAtMs);
      return target && { kind: "out", layerId: target.layerId, seen: target.cueId, how: "animated" };
    }
    case "undo": {
      const act = actToUndo(state.acts, "id" in actor ? actor.id : "");
      return act && { kind: "undo", actId: act.actId };
    }
    case "clear":
    case "clearEverything":
      return { kind: action, how: "animated" };
    case "black":
    case "blackAtOnce":
      return shutOrOpen(state, "black");
    case "standBy":
      return shutOrOpen(state, "standBy");
    case "send":
      return { kind: "send", layerId: null };
    case "hold":
      return { kind: "hold" };
    case "stopTriggers":
      return { kind: "stopTriggers", areStopped: !state.triggers.areStopped };
    case "otherAtSource":
      return { kind: "otherAtSource" };
    case "clip":
      return clipPress(state, clips);
    case "nextClip":
      return { kind: "clip", does: { kind: "next" } };
    case "armNext":
      return arm(from && findNeighbour(from, 1, cues));
    case "armBefore":
      return arm(from && findNeighbour(from, -1, cues));
    case "armNextCue":
      return arm(from && neighbourCue(from, 1, cues));
    case "armCueBefore":
      return arm(from && neighbourCue(from, -1, cues));
    case "back":
      return at && here
        ? arm(findNeighbour({ cueId: here.cueId, content: here.hash, step: at.step }, -1, cues))
        : undefined;
    case "chorus": {
      const chorus = at && here ? chorusFrom(here.content, at.step) : undefined;
      return chorus && here
        ? arm({ cueId: here.cueId, content: here.hash, step: chorus.anchor }, false)
        : undefined;
    }
    case "follow":
      return { kind: "disarm" };
    case "goOn": {
      const aside = state.line.asides.at(-1);
      return aside && { kind: "goOn", cueId: aside.cueId };
    }
    case "stageNote":
    case "edit":
    case "lock":
      return undefined;
    default: {
      const layer = state.layers[layerOfAction(action) ?? -1];
      if (!layer) return undefined;
      const page = [...pagesOn(state, layer.id, startAtMs).values()].find((each) => each);
      return page ? { kind: "out", layerId: layer.id, seen: page.cueId, how: "animated" } : undefined;
    }
  }
}

/** Shuts all screens, or opens what that has shut. With one shut by itself already, it shuts the rest. */
export function shutOrOpen({ shutters }: ShowState, picture: "black" | "standBy"): Press {
  const isOn = Object.values(shutters).some(
    (shutter) => shutter.untilMs === null && shutter.byAll && shutter.picture === picture,
  );
  return { kind: "shut", outputIds: null, picture: isOn ? null : picture };
}

/** One key plays, pauses and goes on; what is over, or was never begun, begins. */
export function clipPress(
  { clip: play }: Pick<ShowState, "clip">,
  clips: readonly { readonly clip: { readonly id: string } }[],
): Press | undefined {
  if (play && !play.isOver && play.by === "here")
    return { kind: "clip", does: { kind: play.isPaused ? "goOn" : "pause" } };
  const clipId = clips.some(({ clip }) => clip.id === play?.clipId) ? play?.clipId : clips[0]?.clip.id;
  return clipId === undefined ? undefined : { kind: "clip", does: { kind: "play", clipId } };
}
