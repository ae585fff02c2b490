import { z } from "zod";
import { nameSchema } from "../names/name.ts";
import { effectMsSchema, shownPictureSchema } from "../screens/plan.ts";
import { TEST_PICTURES } from "../screens/testPicture.ts";
import type { Due } from "./due.ts";
import { targetSchema } from "./state.ts";

const id = z.string().min(8).max(60);
const how = z.enum(["animated", "dissolve", "cut"]);
/** "usual": as the layer it goes to has it. */
const takeHow = z.enum(["usual", "animated", "dissolve", "cut"]);

/** What a desk may ask for. `builtOn` is the air's revision that the person was looking at. */
export const commandSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("arm"), id, target: targetSchema }),
  z.strictObject({ kind: z.literal("disarm"), id }),
  z.strictObject({
    kind: z.literal("take"),
    id,
    target: targetSchema,
    how: takeHow,
    builtOn: z.number().int(),
  }),
  z.strictObject({ kind: z.literal("out"), id, layerId: nameSchema(40), how }),
  z.strictObject({ kind: z.literal("clear"), id, how }),
  z.strictObject({ kind: z.literal("clearEverything"), id, how }),
  z.strictObject({ kind: z.literal("undoTake"), id }),
  /** Puts the held edits of a layer on air, or of all. */
  z.strictObject({ kind: z.literal("send"), id, layerId: nameSchema(40).nullable() }),
  /** Black or the stand-by on these outputs, or on all; null opens them again. */
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
  }),
  /** What outputs show as their stand-by, unless they have one of their own. */
  z.strictObject({ kind: z.literal("setStandBy"), id, picture: shownPictureSchema.nullable() }),
  /** The evening begins anew: times are counted from the next take, and the script stands at its start. The air stays. */
  z.strictObject({ kind: z.literal("beginAnew"), id }),
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
export type Command = z.infer<typeof commandSchema>;

/** What the clock brings about: found in the state, never sent by a window. */
export type TimerCommand =
  | { readonly kind: "due"; readonly due: Due }
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
  "noSuchLayer",
  "noSuchPlan",
  "noSuchOutput",
  "wrongPlan",
  "tooFast",
  "nothingHeld",
  "noStage",
]);
export type Refusal = z.infer<typeof refusalSchema>;

/** What happened, what is still fine, what to do. */
export const REFUSAL_SENTENCES: Readonly<Record<Refusal, string>> = {
  airMoved: "Another desk changed the air a moment before. Its take stands; look, then press again.",
  contentMoved:
    "This cue was edited since you saw it. The air is as it was; press again to take the new words.",
  cueGone: "That cue is no longer in the rundown. The air is as it was; choose another.",
  stepGone: "That step is no longer in the cue. The air is as it was; choose another.",
  nothingThere: "Nothing is on that layer. The air is as it was.",
  nothingToUndo: "There is no take to undo. The air is as it was.",
  undoTooLate: "The air has changed since that take, so it cannot be undone. The air is as it was.",
  noSuchLayer: "That layer does not exist in this show. The air is as it was.",
  noSuchPlan: "That screen plan is not there any more. The screens are as they were; choose another.",
  noSuchOutput:
    "None of the screens this cue is limited to is there any more. The air is as it was; choose screens for it in Prepare.",
  wrongPlan:
    "This cue is made for another screen plan, and is not to switch to it by itself. The air is as it was; switch the plan, then take.",
  nothingHeld: "Nothing on air was edited since it was taken. The air is as it was.",
  noStage: "No screen has a place for a note to the stage. Nothing was sent; give a screen the stage outfit.",
  tooFast: "Too many commands in one second: this one was dropped. The air shows the last one accepted.",
};
