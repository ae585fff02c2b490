import { z } from "zod";
import { clipDoesSchema } from "../clips/clipCommand.ts";
import { padKeySchema } from "../keys/keyMap.ts";
import { t } from "../language/t.ts";
import { nameSchema } from "../names/name.ts";
import { effectMsSchema, LAYER_TURNS, shownPictureSchema } from "../venue/plan.ts";
import { BUSES, MOST_SOURCES } from "../venue/source.ts";
import { TEST_PICTURES } from "../venue/testPicture.ts";
import type { Due } from "./followAndRepeat.ts";
import { targetSchema } from "./line.ts";

const id = z.string().min(8).max(60);
const how = z.enum(["animated", "dissolve", "cut"]);
/** "usual": as the layer it goes to has it. */
const takeHow = z.enum(["usual", "animated", "dissolve", "cut"]);

/** What a desk may ask for. `builtOn` is the air's revision that the person was looking at. */
export const commandSchema = z.discriminatedUnion("kind", [
  /** `isJump`: once taken, the script goes on from there, whatever layer it goes to. */
  z.strictObject({ kind: z.literal("arm"), id, target: targetSchema, isJump: z.boolean().optional() }),
  z.strictObject({ kind: z.literal("disarm"), id }),
  z.strictObject({
    kind: z.literal("take"),
    id,
    target: targetSchema,
    how: takeHow,
    builtOn: z.number().int(),
    isJump: z.boolean().optional(),
  }),
  /** The script goes on from a cue that came as an aside. */
  z.strictObject({ kind: z.literal("goOn"), id, cueId: nameSchema(60) }),
  z.strictObject({
    kind: z.literal("out"),
    id,
    layerId: nameSchema(40),
    how,
    /** The only outputs it is taken off; null: all. */
    outputIds: z.array(nameSchema(60)).max(64).nullable().optional(),
    /** The cue that the person saw there; null: whatever is there. */
    seen: nameSchema(60).nullable().optional(),
  }),
  z.strictObject({ kind: z.literal("clear"), id, how }),
  z.strictObject({ kind: z.literal("clearEverything"), id, how }),
  z.strictObject({ kind: z.literal("undo"), id, actId: z.string().max(80) }),
  /** Puts the held edits of a layer on air, or of all. */
  z.strictObject({ kind: z.literal("send"), id, layerId: nameSchema(40).nullable() }),
  /**
   * Black or the stand-by on these outputs; null opens them again. Without outputs: on all but the stage's own, and open again are
   * those that were shut with all.
   */
  z.strictObject({
    kind: z.literal("shut"),
    id,
    outputIds: z.array(nameSchema(60)).max(64).nullable(),
    picture: z.enum(["black", "standBy"]).nullable(),
  }),
  /** A line for those on the stage; empty takes it away. */
  z.strictObject({ kind: z.literal("stageNote"), id, text: z.string().max(200) }),
  z.strictObject({
    kind: z.literal("setLayer"),
    id,
    layerId: nameSchema(40),
    how,
    opacity: z.number().min(0).max(1),
    persistent: z.boolean(),
    effectMs: effectMsSchema.nullable(),
    /** Absent: as it is. */
    turns: z.enum(LAYER_TURNS).optional(),
  }),
  /** What outputs show as their stand-by, unless they have one of their own. */
  z.strictObject({ kind: z.literal("setStandBy"), id, picture: shownPictureSchema.nullable() }),
  /** The evening begins anew: times are counted from the next take, and the script stands at its start. The air stays. */
  z.strictObject({ kind: z.literal("beginAnew"), id }),
  /** The countdown of what is on a layer stands still, or goes on. */
  z.strictObject({ kind: z.literal("pauseCountdown"), id, layerId: nameSchema(40), isPaused: z.boolean() }),
  /** Which sources are on a bus, said by hand. */
  z.strictObject({
    kind: z.literal("setSources"),
    id,
    bus: z.enum(BUSES),
    sourceIds: z.array(nameSchema(60)).max(MOST_SOURCES),
  }),
  /** Stops all triggers, or lets them go again. */
  z.strictObject({ kind: z.literal("stopTriggers"), id, areStopped: z.boolean() }),
  /** Keeps triggers off a layer, or lets them act on it again. */
  z.strictObject({ kind: z.literal("keepLayer"), id, layerId: nameSchema(40), isHeld: z.boolean() }),
  /** The other one of those who are at the same source: it takes the place of the first, and leaves with the source as that would. */
  z.strictObject({ kind: z.literal("otherAtSource"), id }),
  /** A key of a pad went down that has no action of its own: triggers may wait for it. */
  z.strictObject({ kind: z.literal("pad"), id, key: padKeySchema }),
  /** Something is done to the player. */
  z.strictObject({ kind: z.literal("clip"), id, does: clipDoesSchema }),
  /** Nothing comes by itself any more, until the next take. */
  z.strictObject({ kind: z.literal("hold"), id }),
  z.strictObject({
    kind: z.literal("switchPlan"),
    id,
    planId: nameSchema(60),
    builtOn: z.number().int(),
  }),
  /** A test picture on these outputs, or on all; null takes it away. */
  z.strictObject({
    kind: z.literal("test"),
    id,
    outputIds: z.array(nameSchema(60)).max(64).nullable(),
    picture: z.enum(TEST_PICTURES).nullable(),
  }),
]);
/** What may be left out has its usual value. */
export type Command = z.input<typeof commandSchema>;

/** What the clock brings about: found in the state, never sent by a window. */
export type TimerCommand =
  | { readonly kind: "due"; readonly due: Exclude<Due, { kind: "trigger" }> }
  /** A cue whose time of day has come. */
  | { readonly kind: "timed"; readonly cueId: string; readonly atMs: number };

export const refusalSchema = z.enum([
  "airMoved",
  "contentMoved",
  "cueGone",
  "stepGone",
  "nothingThere",
  "nothingToUndo",
  "undoTooLate",
  "outMoved",
  "onlyWatching",
  "onlyShows",
  "notAllowed",
  "locked",
  "noSuchLayer",
  "noSuchPlan",
  "noSuchOutput",
  "wrongPlan",
  "tooFast",
  "tooLate",
  "nothingHeld",
  "noStage",
  "nobodyElse",
  "noSuchClip",
  "noNextClip",
]);
export type Refusal = z.infer<typeof refusalSchema>;

const AIR = t`The air is as it was`;

/**
 * What happened, what is still fine, what to do.
 * @param who the desk or clock that came in between, in words: "Desk 2", "the clock"
 */
export function refusalSentence(refused: Refusal, who = t`another desk`): string {
  const Who = `${who.charAt(0).toUpperCase()}${who.slice(1)}`;
  switch (refused) {
    case "airMoved":
      return t`${Who} changed the air a moment before. That stands; look, then press again.`;
    case "contentMoved":
      return t`This cue was edited since you saw it. ${AIR}; press again to take the new words.`;
    case "cueGone":
      return t`That cue is no longer in the rundown. ${AIR}; choose another.`;
    case "stepGone":
      return t`That step is no longer in the cue. ${AIR}; choose another.`;
    case "nothingThere":
      return t`Nothing is on that layer. ${AIR}.`;
    case "nothingToUndo":
      return t`There is nothing left to undo. ${AIR}.`;
    case "undoTooLate":
      return t`${Who} has changed the same place since, so it cannot be undone. ${AIR}.`;
    case "outMoved":
      return t`What you saw there has left or changed by itself. Nothing was taken off; look, then press again.`;
    case "onlyWatching":
      return t`This desk only watches, so nothing was done. ${AIR}; choose “takes part” to act.`;
    case "onlyShows":
      return t`This window can only show. ${AIR}.`;
    case "notAllowed":
      return t`This is not among what you may do here, so nothing was done. ${AIR}; ask at the desk.`;
    case "locked":
      return t`The desk is locked to take, arm and out. Hold the lock key to unlock it; the air is as it was.`;
    case "noSuchLayer":
      return t`That layer does not exist in this show. ${AIR}.`;
    case "noSuchPlan":
      return t`That screen plan is not there any more. The screens are as they were; choose another.`;
    case "noSuchOutput":
      return t`None of the screens this cue is limited to is there any more. ${AIR}; choose screens for it in Prepare.`;
    case "wrongPlan":
      return t`This cue is made for another screen plan, and is not to switch to it by itself. ${AIR}; switch the plan, then take.`;
    case "nothingHeld":
      return t`Nothing on air was edited since it was taken. ${AIR}.`;
    case "noStage":
      return t`No screen has a place for a note to the stage. Nothing was sent; give a screen the stage outfit.`;
    case "nobodyElse":
      return t`Nobody else is at a source on program. ${AIR}; tie cues to the source in Prepare.`;
    case "noSuchClip":
      return t`That clip cannot be played from here: it is not in the list, or not in the library any more. What plays goes on.`;
    case "noNextClip":
      return t`There is no clip after this one. What plays goes on.`;
    case "tooLate":
      return t`That press was too long on its way, so nothing was done. ${AIR}; look, then press again.`;
    case "tooFast":
      return t`Too many commands in one second: this one was dropped. The air shows the last one accepted.`;
  }
}
