import { z } from "zod";
import { byNameSchema, nameSchema } from "../names/name.ts";
import { layerSchema, outputSchema, screenPlanSchema, shownPictureSchema } from "../venue/plan.ts";
import { TEST_PICTURES } from "../venue/testPicture.ts";
import { actorSchema, idOf } from "./actor.ts";
import { dueSchema } from "./followAndRepeat.ts";
import { armSchema, lineSchema } from "./line.ts";
import { shutterSchema } from "./shutter.ts";
import { momentSchema } from "./slot.ts";

const momentsSchema = z.strictObject({
  /** What outputs without a slot of their own showed; absent: the act did not touch them. */
  common: momentSchema.nullable().optional(),
  /** What outputs showed that had a slot of their own, or were given one. */
  perOutput: byNameSchema(momentSchema.nullable()),
});

/** The air as it was in all that an act has changed; absent: not changed. */
const beforeSchema = z.strictObject({
  moments: byNameSchema(momentsSchema),
  plan: z.strictObject({ plan: screenPlanSchema, handPlan: screenPlanSchema.nullable() }).optional(),
  shutters: byNameSchema(shutterSchema.nullable()),
  tests: byNameSchema(z.strictObject({ picture: z.enum(TEST_PICTURES), sinceMs: z.number() }).nullable()),
  stageNote: momentSchema.nullable().optional(),
  standBy: z.strictObject({ picture: shownPictureSchema.nullable() }).optional(),
  layers: z.array(layerSchema),
  /** Where the line was, when the act moved it. */
  line: lineSchema.optional(),
  /** Cues that came as asides. */
  asides: z.array(z.string()),
  arm: z.strictObject({ before: armSchema.nullable(), after: armSchema.nullable() }).optional(),
  /** Output → the screen as it was; null: it was not there. */
  screens: byNameSchema(outputSchema.nullable()).default({}),
  /** Cue → when it began before. */
  cueTimes: byNameSchema(z.number().nullable()),
  dueGone: z.array(dueSchema),
  dueAdded: z.array(dueSchema),
});
export type Before = z.infer<typeof beforeSchema>;

/** What an act was, for naming it. */
export const actKindSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("take"), cueId: nameSchema(60) }),
  z.strictObject({ kind: z.literal("out"), layerIds: z.array(z.string()) }),
  z.strictObject({ kind: z.enum(["clear", "clearEverything"]) }),
  z.strictObject({ kind: z.literal("plan"), name: z.string() }),
  z.strictObject({ kind: z.literal("shut"), picture: z.enum(["black", "standBy"]).nullable() }),
  z.strictObject({ kind: z.literal("test"), picture: z.enum(TEST_PICTURES).nullable() }),
  z.strictObject({ kind: z.literal("layer"), layerId: z.string() }),
  z.strictObject({ kind: z.literal("screen"), name: z.string() }),
  z.strictObject({ kind: z.enum(["send", "stageNote", "standBy", "startOver", "goOn"]) }),
]);
export type ActKind = z.infer<typeof actKindSchema>;

/** Who changed a part of the air last, and when. */
export const touchSchema = z.strictObject({
  seq: z.number().int(),
  airRevision: z.number().int(),
  by: actorSchema.nullable(),
});
export type Touch = z.infer<typeof touchSchema>;

/** One act of a person on the air, and how everything was that it changed. */
export const actSchema = z.strictObject({
  actId: z.string(),
  by: actorSchema,
  what: actKindSchema,
  /** Its last event. */
  seq: z.number().int(),
  /** Part of the air → who had changed it last before. */
  touched: byNameSchema(touchSchema.nullable()),
  before: beforeSchema,
});
export type Act = z.infer<typeof actSchema>;

/** The act that undo would put back for an actor: the newest of its own, else the newest of anybody. */
export function actToUndo(acts: readonly Act[], actorId: string): Act | undefined {
  return acts.findLast(({ by }) => idOf(by) === actorId) ?? acts.at(-1);
}
