import { z } from "zod";
import { CREDIT_PLACES } from "../words/credits.ts";
import { cutSchema, MOST_CUTS } from "../words/cuts.ts";
import { songFields } from "../words/songFields.ts";
import { anchorSchema } from "./anchor.ts";

/** The screen plan a cue is made for: a take under another plan switches to it, or is refused. Never half-cut words. */
export const planNeedSchema = z.strictObject({
  id: z.string().min(1).max(60),
  otherwise: z.enum(["switch", "refuse"]),
});
export type PlanNeed = z.infer<typeof planNeedSchema>;

/** From a step on, the plan that is switched to. */
export const stepPlanSchema = z.strictObject({ step: anchorSchema, planId: z.string().min(1).max(60) });

/** What any cue says about the screens. */
const onScreens = {
  plan: planNeedSchema.nullable().default(null),
  stepPlans: z.array(stepPlanSchema).max(60).default([]),
  /** The only outputs it goes to; null: all. The others keep what they show. */
  only: z.array(z.string().min(1).max(60)).min(1).max(64).nullable().default(null),
};

/** What a person typed for a cue: the row in the rundown. From it the content for the air is compiled. */
export const pageDocSchema = z.strictObject({
  kind: z.literal("page"),
  fieldSet: z.string().min(1).max(40),
  values: z.record(z.string().max(40), z.string().max(2_000)),
  /** Name of the template it wears where an outfit offers several; null: the outfit's own. */
  look: z.string().max(80).nullable(),
  /** Leaves by itself after this long; null stays until taken out. */
  stayMs: z.number().int().min(500).max(3_600_000).nullable(),
  ...onScreens,
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
  ...onScreens,
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
  ...onScreens,
  /** Slides parted and joined by hand. */
  cuts: z.array(cutSchema).max(MOST_CUTS).default([]),
});

export const cueDocSchema = z.discriminatedUnion("kind", [pageDocSchema, songDocSchema, readingDocSchema]);
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
