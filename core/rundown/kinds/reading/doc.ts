import { z } from "zod";
import { MOST_BREAKS, manualBreakSchema } from "../../../words/manualBreaks.ts";
import { onAnyCue } from "../onAnyCue.ts";

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
  breaks: z.array(manualBreakSchema).max(MOST_BREAKS).default([]),
});

export type ReadingDoc = z.infer<typeof readingDocSchema>;

export const readingCue = (
  fields: { readonly reference: string; readonly text: string } & Partial<ReadingDoc>,
): ReadingDoc => readingDocSchema.parse({ numbers: true, ...fields, kind: "reading" });
