import { z } from "zod";
import { clipPlaySchema } from "../clips/clipPlay.ts";
import { oncePer } from "../memo/oncePer.ts";
import { byNameSchema } from "../names/name.ts";
import { layerSchema, screenPlanSchema, shownPictureSchema } from "../venue/plan.ts";
import { TEST_PICTURES } from "../venue/testPicture.ts";
import { actSchema, touchSchema } from "./acts.ts";
import { dueSchema } from "./followAndRepeat.ts";
import { armSchema, lineSchema, NO_LINE } from "./line.ts";
import { shutterSchema } from "./shutter.ts";
import { type Slot, type SlotPage, slotSchema } from "./slot.ts";
import { NO_SOURCES, NO_TRIGGERS, sourcesStateSchema, triggersStateSchema } from "./triggersState.ts";

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
  /** The plan that a hand chose last: what the script goes back to where it asks for none; null: not known. */
  handPlan: screenPlanSchema.nullable().default(null),
  /** The plan that was used until a moment ago: pages still leave and change from what it showed. */
  planBefore: z.strictObject({ plan: screenPlanSchema, untilMs: z.number() }).nullable().default(null),
  /** Outputs that show a test picture in place of theirs, and since when. */
  tests: byNameSchema(z.strictObject({ picture: z.enum(TEST_PICTURES), sinceMs: z.number() })).default({}),
  arm: armSchema.nullable(),
  /** The operator's place in the script: what comes next is counted from it. */
  line: lineSchema.default(NO_LINE),
  /** Grows with every change of what is on air. */
  airRevision: z.number().int().min(0),
  recentTakeIds: z.array(z.string()),
  /** What can be undone, the newest last. */
  acts: z.array(actSchema).default([]),
  /** Part of the air → who changed it last. */
  touched: byNameSchema(touchSchema).default({}),
  /** What will happen by itself, the soonest first. */
  due: z.array(dueSchema).default([]),
  /** Outputs that are shut, or were a moment ago. */
  shutters: byNameSchema(shutterSchema).default({}),
  /** What outputs show as their stand-by, unless they have one of their own. */
  standBy: shownPictureSchema.nullable().default(null),
  /** The note to those on the stage, above all layers, where an outfit has a place for it. */
  stageNote: slotSchema.default([]),
  /** Cue → when the line last came to it. */
  cueTimes: byNameSchema(z.number()).default({}),
  /** What the mixer has on program and preview. */
  sources: sourcesStateSchema.default(NO_SOURCES),
  triggers: triggersStateSchema.default(NO_TRIGGERS),
  /** The clip that plays, or has played. */
  clip: clipPlaySchema.nullable().default(null),
});
export type ShowState = z.infer<typeof showStateSchema>;

const slotsOf = (state: ShowState): readonly Slot[] => [
  ...Object.values(state.slots),
  ...Object.values(state.overrides).flatMap((slots) => Object.values(slots)),
  state.stageNote,
];

/** Every page that may still be seen, leaving ones included. */
export const pagesInSight = (state: ShowState): SlotPage[] =>
  slotsOf(state).flatMap((slot) => slot.flatMap(({ page }) => page ?? []));

/** Every page that is on a layer, and none that leaves. */
export const pagesOnLayers = (state: ShowState): SlotPage[] =>
  slotsOf(state).flatMap((slot) => slot.at(-1)?.page ?? []);

/** Contents the state refers to, for fetching them before it is drawn. Every window is told of them, at every event. */
export const contentsOf = oncePer((state: ShowState): ReadonlySet<string> => {
  const hashes = new Set(pagesInSight(state).map((page) => page.content));
  for (const { target } of [state.arm, state.arm?.over].flatMap((arm) => arm ?? []))
    hashes.add(target.content);
  for (const { before } of state.acts) {
    const moments = Object.values(before.moments).flatMap(({ common, perOutput }) => [
      common,
      ...Object.values(perOutput),
    ]);
    for (const moment of [...moments, before.stageNote]) if (moment?.page) hashes.add(moment.page.content);
  }
  return hashes;
});
