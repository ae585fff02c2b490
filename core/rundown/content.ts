import { z } from "zod";
import { liveFieldsSchema } from "../feeds/binding.ts";
import { byNameSchema, nameSchema } from "../names/name.ts";
import { adjustmentsSchema, wholeSchema } from "../scene/adjustment.ts";
import { effectMsSchema } from "../venue/plan.ts";
import { CREDIT_PLACES, creditsSchema } from "../words/credits.ts";
import { flowUnitSchema } from "../words/flow.ts";
import { planNeedSchema, stepPlanSchema } from "./kinds/onAnyCue.ts";
import { REFERENCE_PLACES } from "./kinds/reading/doc.ts";

/**
 * Everything a cue needs to be on air, pinned: it is stored under its hash and never changes. The air refers to
 * it by hash, so editing the cue, a template or the style cannot move what people see.
 */
export const hashSchema = z.string().regex(/^[0-9a-f]{64}$/);
export type Hash = z.infer<typeof hashSchema>;

const occurrenceSchema = z.strictObject({
  /** Unique in the content: the section and how often it was sung before, or the passage. */
  key: z.string().max(80),
  label: z.string().max(80),
  book: z.string().max(20).nullable(),
  /** Of a reading: the language its book is named in, and the text's name. */
  language: z.string().max(40).optional(),
  translation: z.string().max(200).optional(),
  units: z.array(flowUnitSchema).max(4_000),
});
export type Occurrence = z.infer<typeof occurrenceSchema>;

const flowSchema = z.strictObject({
  /** Whether verses are numbered in the words. */
  numbers: z.boolean(),
  /** On which slides the credit, or the reference, is shown. */
  creditAt: z.enum(CREDIT_PLACES).default("last"),
  referenceAt: z.enum(REFERENCE_PLACES).default("each"),
  /** BCP 47 tag of the words; empty when not said. */
  language: z.string().max(40).default(""),
  /** The field the words of a step go to. */
  field: z.string().max(40),
  occurrences: z.array(occurrenceSchema).max(1_000),
  /** Outfit id → for each occurrence, the units its slides begin with. */
  divisions: byNameSchema(z.array(z.array(z.number().int().min(0)))),
});
export type Flow = z.infer<typeof flowSchema>;

/** Pictures, clips and sounds of one content. */
export const MOST_MEDIA = 64;

const wardrobeSchema = byNameSchema(z.strictObject({ template: hashSchema, style: hashSchema }));

export const pageContentSchema = z.strictObject({
  kind: z.literal("page"),
  cueKind: z.enum(["page", "song", "reading", "action"]),
  title: z.string().max(400),
  fieldSet: z.string().max(40),
  /** Empty where it goes onto no layer. */
  layerId: nameSchema(40, 0),
  values: byNameSchema(z.string()),
  /** What of it is filled from feeds, over its values. */
  live: liveFieldsSchema.optional(),
  /** Of a song: who made it, for the report of what was sung, and the library's song that it is. */
  song: z.strictObject({ songId: z.string().max(60).nullable(), ...creditsSchema.shape }).optional(),
  flow: flowSchema.nullable(),
  /** The field whose lines come step by step. */
  pointsField: z.string().max(40).default("points"),
  /** Of such a page: how many lines stand after each step. */
  points: z.array(z.number().int().min(1)).max(200).nullable(),
  /** Outfit id → what it wears there; an outfit that is missing shows nothing of this cue. */
  wardrobe: wardrobeSchema,
  /** A last step of running words that is a page of its own: the credit. */
  endPage: z
    .strictObject({ values: byNameSchema(z.string()), wardrobe: wardrobeSchema })
    .nullable()
    .default(null),
  opacity: z.number().min(0).max(1).default(1),
  adjust: adjustmentsSchema.default({}),
  /** Where all of it stands, and how large; null: as its templates were made. */
  whole: wholeSchema.nullable().default(null),
  /** How long it takes to arrive; null: as its layer, else its templates, have it. */
  effectMs: effectMsSchema.nullable().default(null),
  /** What those on the stage read while it is the cue on air. */
  stageNote: z.string().max(200).default(""),
  /** What an action does in place of bringing a page. */
  action: z
    .strictObject({
      clear: z.array(nameSchema(40)).max(40),
      shutter: z.enum(["black", "standBy", "back"]).nullable(),
    })
    .nullable()
    .default(null),
  stayMs: z.number().int().positive().nullable(),
  /** The field of the countdown at whose zero it leaves; empty: it does not. */
  leavesAtZeroOf: z.string().max(40).default(""),
  /** The screen plan it is made for, and what a take under another one does. */
  plan: planNeedSchema.nullable().default(null),
  stepPlans: z.array(stepPlanSchema).max(60).default([]),
  /** The only outputs it goes to; null: all. */
  only: z.array(nameSchema(60)).max(64).nullable().default(null),
  /** Outfits whose divisions make the steps; null: all that divide the words. */
  stepsBy: z.array(nameSchema(60)).nullable().default(null),
  /** Outfit id → outfits that stand in for it on screens of their shape. */
  variants: byNameSchema(z.array(z.string())).default({}),
  /** How long the picture may hang on how the page came: a crawl joins what went before it for minutes. */
  lastsMs: z.number().min(0),
  /** Pictures and clips it shows, by the hash of what is known of them. */
  media: z.array(hashSchema).max(MOST_MEDIA),
});
export type PageContent = z.infer<typeof pageContentSchema>;

/** Every template and style that a content refers to. */
export const wornIn = ({ wardrobe, endPage }: PageContent): Hash[] =>
  [wardrobe, endPage?.wardrobe ?? {}].flatMap((worn) =>
    Object.values(worn).flatMap(({ template, style }) => [template, style]),
  );
