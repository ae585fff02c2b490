import { z } from "zod";
import { byNameSchema, nameSchema } from "../names/name.ts";
import { adjustmentsSchema, wholeSchema } from "../scene/adjust.ts";
import { effectMsSchema } from "../screens/plan.ts";
import { plannedTimeSchema } from "../time/timeOfDay.ts";
import { CREDIT_PLACES } from "../words/credits.ts";
import { cutSchema, MOST_CUTS } from "../words/cuts.ts";
import { songFields } from "../words/songFields.ts";
import { anchorSchema } from "./anchor.ts";

/** The screen plan a cue is made for: a take under another plan switches to it, or is refused. Never half-cut words. */
export const planNeedSchema = z.strictObject({
  id: nameSchema(60),
  otherwise: z.enum(["switch", "refuse"]),
});
export type PlanNeed = z.infer<typeof planNeedSchema>;

/** From a step on, the plan that is switched to. */
export const stepPlanSchema = z.strictObject({ step: anchorSchema, planId: nameSchema(60) });

/** How a cue starts: by hand, with the cue before it, some time after that one is through, or at a time of day. */
export const cueStartSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("hand") }),
  z.strictObject({ kind: z.literal("with") }),
  z.strictObject({ kind: z.literal("after"), ms: z.number().int().min(0).max(3_600_000) }),
  z.strictObject({ kind: z.literal("at"), time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d:[0-5]\d$/) }),
]);
export type CueStart = z.infer<typeof cueStartSchema>;

/** Marks a person may put on a cue, to find it again. */
export const CUE_TAGS = ["knot", "bell", "sail", "wave"] as const;
export type CueTag = (typeof CUE_TAGS)[number];

/** What any cue may say besides its words. */
const onAnyCue = {
  start: cueStartSchema.default({ kind: "hand" }),
  /** It enters this long after the press. */
  delayMs: z.number().int().min(0).max(600_000).default(0),
  /** It comes again by itself this often, until it is taken out. */
  repeatMs: z.number().int().min(1_000).max(3_600_000).nullable().default(null),
  /** How long it is planned to take. */
  plannedMs: z.number().int().min(0).max(86_400_000).nullable().default(null),
  /** When it is planned to begin, HH:MM in the show's time zone; empty: when those before it are through. */
  plannedAt: plannedTimeSchema.default(""),
  /** Left out of the run. */
  isOff: z.boolean().default(false),
  tag: z.enum(CUE_TAGS).nullable().default(null),
  /** For the operator, in the margin of the script. */
  note: z.string().max(2_000).default(""),
  /** How dense all of it is. */
  opacity: z.number().min(0.05).max(1).default(1),
  /** How long it takes to arrive; null: as its layer, else its template, has it. */
  effectMs: effectMsSchema.nullable().default(null),
  /** Where all of it stands, and how large. */
  whole: wholeSchema.nullable().default(null),
  /** Shown to those on the stage while it is the cue on air. */
  stageNote: z.string().max(200).default(""),
  /** Emptied when the evening is taken for another day. */
  isOfTheDay: z.boolean().default(false),
  /** Texts moved, sized or left out, here alone. */
  adjust: adjustmentsSchema.default({}),
  /** Every change that is saved goes on air at once if the cue is there; otherwise it is held until sent. */
  isLive: z.boolean().default(false),
  /** What any cue says about the screens. */
  plan: planNeedSchema.nullable().default(null),
  stepPlans: z.array(stepPlanSchema).max(60).default([]),
  /** The only outputs it goes to; null: all. The others keep what they show. */
  only: z.array(nameSchema(60)).min(1).max(64).nullable().default(null),
};

/** What a person typed for a cue: the row in the rundown. From it the content for the air is compiled. */
export const pageDocSchema = z.strictObject({
  kind: z.literal("page"),
  fieldSet: z.string().min(1).max(40),
  values: byNameSchema(z.string().max(2_000)),
  /** Name of the template it wears where an outfit offers several; null: the outfit's own. */
  look: z.string().max(80).nullable(),
  /** The layer it goes to; null: the usual one of its kind. */
  layerId: nameSchema(40).nullable().default(null),
  /** Leaves by itself after this long; null stays until taken out. */
  stayMs: z.number().int().min(500).max(3_600_000).nullable(),
  ...onAnyCue,
});

/** A song as this event sings it: a copy of its own, so that changes here leave the library's alone. */
export const songDocSchema = z.strictObject({
  kind: z.literal("song"),
  ...songFields,
  /** The library's song it was taken from, and which revision of it. */
  source: z
    .strictObject({ songId: z.string().max(60), revision: z.number().int() })
    .nullable()
    .default(null),
  creditAt: z.enum(CREDIT_PLACES).default("last"),
  ...onAnyCue,
});

export const REFERENCE_PLACES = ["each", "first", "last", "none"] as const;
export type ReferencePlace = (typeof REFERENCE_PLACES)[number];

export const readingDocSchema = z.strictObject({
  kind: z.literal("reading"),
  reference: z.string().max(400),
  /** Code of the scripture text. */
  text: z.string().min(1).max(40),
  /** Whether verse numbers stand in the words. */
  numbers: z.boolean(),
  /** A second text: beside the first on each slide, or after each passage. */
  second: z
    .strictObject({ text: z.string().min(1).max(40), how: z.enum(["beside", "after"]) })
    .nullable()
    .default(null),
  /** Whether lines of poetry stay lines. */
  poetry: z.boolean().default(true),
  referenceAt: z.enum(REFERENCE_PLACES).default("each"),
  /** Whether the text's name is shown, and what its owner wants said. */
  translation: z.boolean().default(true),
  rights: z.boolean().default(false),
  ...onAnyCue,
  /** Slides parted and joined by hand. */
  cuts: z.array(cutSchema).max(MOST_CUTS).default([]),
});

/** A press that brings no page: it takes layers off, changes the plan, shows black or the stand-by, or only waits. */
export const actionDocSchema = z.strictObject({
  kind: z.literal("action"),
  title: z.string().max(200),
  /** Layers it takes off. */
  clear: z.array(nameSchema(40)).max(40).default([]),
  /** What all screens show in place of their picture; "back": their picture again. */
  shutter: z.enum(["black", "standBy", "back"]).nullable().default(null),
  ...onAnyCue,
});

/** Words for those who run the evening; nothing is taken. */
export const remarkDocSchema = z.strictObject({
  kind: z.literal("remark"),
  text: z.string().max(2_000),
  /** It heads a part of the evening. */
  isHeading: z.boolean().default(false),
  ...onAnyCue,
});

export const cueDocSchema = z.discriminatedUnion("kind", [
  pageDocSchema,
  songDocSchema,
  readingDocSchema,
  actionDocSchema,
  remarkDocSchema,
]);
export type ActionDoc = z.infer<typeof actionDocSchema>;
export type RemarkDoc = z.infer<typeof remarkDocSchema>;
export type CueDoc = z.infer<typeof cueDocSchema>;
export type PageDoc = z.infer<typeof pageDocSchema>;
export type SongDoc = z.infer<typeof songDocSchema>;
export type ReadingDoc = z.infer<typeof readingDocSchema>;

/** A song cue with nothing said about how it is shown. */
export const songCue = (
  fields: { readonly title: string; readonly text: string } & Partial<SongDoc>,
): SongDoc => songDocSchema.parse({ ...fields, kind: "song" });

export const readingCue = (
  fields: { readonly reference: string; readonly text: string } & Partial<ReadingDoc>,
): ReadingDoc => readingDocSchema.parse({ numbers: true, ...fields, kind: "reading" });

export const pageCue = (fields: { readonly fieldSet: string } & Partial<PageDoc>): PageDoc =>
  pageDocSchema.parse({ values: {}, look: null, stayMs: null, ...fields, kind: "page" });

export const actionCue = (fields: Partial<ActionDoc>): ActionDoc =>
  actionDocSchema.parse({ title: "", ...fields, kind: "action" });

export const remarkCue = (fields: Partial<RemarkDoc>): RemarkDoc =>
  remarkDocSchema.parse({ text: "", ...fields, kind: "remark" });
