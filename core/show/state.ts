import { z } from "zod";
import { byNameSchema, nameSchema } from "../names/name.ts";
import { anchorSchema } from "../rundown/anchor.ts";
import { hashSchema } from "../rundown/content.ts";
import { layerSchema, screenPlanSchema, shownPictureSchema } from "../screens/plan.ts";
import { TEST_PICTURES } from "../screens/testPicture.ts";
import { dueSchema } from "./due.ts";
import { shutterSchema } from "./shutter.ts";
import { type SlotPage, slotPageSchema, slotSchema } from "./slot.ts";

/** Who asked: a desk, or the clock. */
export const actorSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("desk"),
    id: nameSchema(60),
    /** What the desk was called then. */
    name: z.string().max(40).optional(),
  }),
  z.strictObject({ kind: z.literal("timer") }),
]);
export type Actor = z.infer<typeof actorSchema>;

/** A step of a cue, in the very content that was seen when it was chosen. */
export const targetSchema = z.strictObject({
  cueId: nameSchema(60),
  content: hashSchema,
  step: anchorSchema,
});
export type Target = z.infer<typeof targetSchema>;

const positionSchema = z.strictObject({
  cueId: z.string(),
  /** Where the cue stood in the rundown when it was taken: if it is deleted, what stands there now comes next. */
  cueIndex: z.number().int().min(0),
  step: anchorSchema,
});

const armSchema = z.strictObject({ target: targetSchema, by: actorSchema });
export type Arm = z.infer<typeof armSchema>;

const undoneLayerSchema = z.strictObject({
  page: slotPageSchema.nullable(),
  /** The outputs the take was limited to; null: all. */
  outputIds: z.array(z.string()).nullable(),
  /** What outputs showed that had a slot of their own, or were given one. */
  perOutput: byNameSchema(slotPageSchema.nullable()),
});
export type UndoneLayer = z.infer<typeof undoneLayerSchema>;

const undoSchema = z.strictObject({
  takeId: z.string(),
  /** The air's revision right after that take; when it has moved, the take can no longer be undone. */
  airRevision: z.number().int(),
  /** Layer → what was on it. */
  layers: byNameSchema(undoneLayerSchema).default({}),
  arm: armSchema.nullable(),
  position: positionSchema.nullable(),
  /** The plan that the take switched from; null when it switched none. */
  plan: screenPlanSchema.nullable().default(null),
  /** The note that stood on the stage, where the take changed it. */
  stageNote: slotPageSchema.nullable().optional(),
});

/** What is on air, armed and planned. Not the rundown: that is rows. */
export const showStateSchema = z.strictObject({
  showId: z.string(),
  /** Number of the last event in it. */
  seq: z.number().int().min(0),
  /** From the back to the front. */
  layers: z.array(layerSchema),
  /** IANA zone for times of day. */
  timeZone: z.string(),
  slots: byNameSchema(slotSchema),
  /** Layer → output → the slot that a cue limited to chosen outputs has filled there. */
  overrides: byNameSchema(byNameSchema(slotSchema)).default({}),
  plan: screenPlanSchema,
  /** The plan that was used until a moment ago: pages still leave and change from what it showed. */
  planBefore: z.strictObject({ plan: screenPlanSchema, untilMs: z.number() }).nullable().default(null),
  /** Outputs that show a test picture in place of theirs, and since when. */
  tests: byNameSchema(z.strictObject({ picture: z.enum(TEST_PICTURES), sinceMs: z.number() })).default({}),
  arm: armSchema.nullable(),
  /** The step last taken: what comes next is counted from it. */
  position: positionSchema.nullable(),
  /** Grows with every change of what is on air. */
  airRevision: z.number().int().min(0),
  recentTakeIds: z.array(z.string()),
  undo: undoSchema.nullable(),
  /** What will happen by itself, the soonest first. */
  due: z.array(dueSchema).default([]),
  /** Outputs that are shut, or were a moment ago. */
  shutters: byNameSchema(shutterSchema).default({}),
  /** What outputs show as their stand-by, unless they have one of their own. */
  standBy: shownPictureSchema.nullable().default(null),
  /** The note to those on the stage, above all layers, where an outfit has a place for it. */
  stageNote: slotSchema.default([]),
  /** Cue → when it was first taken. */
  cueTimes: byNameSchema(z.number()).default({}),
});
export type ShowState = z.infer<typeof showStateSchema>;

/** Every page that may still be seen, leaving ones included. */
export function pagesInSight(state: ShowState): SlotPage[] {
  const own = Object.values(state.overrides).flatMap((slots) => Object.values(slots));
  return [...Object.values(state.slots), ...own, state.stageNote].flatMap((slot) =>
    slot.flatMap(({ page }) => (page ? [page] : [])),
  );
}

/** Contents the state refers to, for fetching them before it is drawn. */
export function contentsOf(state: ShowState): Set<string> {
  const hashes = new Set(pagesInSight(state).map((page) => page.content));
  if (state.arm) hashes.add(state.arm.target.content);
  for (const { page, perOutput } of Object.values(state.undo?.layers ?? {}))
    for (const each of [page, ...Object.values(perOutput)]) if (each) hashes.add(each.content);
  if (state.undo?.stageNote) hashes.add(state.undo.stageNote.content);
  return hashes;
}
