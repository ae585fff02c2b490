import { z } from "zod";

/** What a person typed for a cue: the row in the rundown. From it the content for the air is compiled. */
const outfitLines = z.record(z.string().max(60), z.number().int().min(1).max(20));

export const pageDocSchema = z.strictObject({
  kind: z.literal("page"),
  fieldSet: z.string().min(1).max(40),
  values: z.record(z.string().max(40), z.string().max(2_000)),
  /** Name of the template it wears where an outfit offers several; null: the outfit's own. */
  look: z.string().max(80).nullable(),
  /** Leaves by itself after this long; null stays until taken out. */
  stayMs: z.number().int().min(500).max(3_600_000).nullable(),
});

export const songDocSchema = z.strictObject({
  kind: z.literal("song"),
  title: z.string().max(200),
  credit: z.string().max(500),
  /** As typed or pasted, labels and all. */
  text: z.string().max(200_000),
  /** Lines per slide where this song differs from the outfit. */
  lines: outfitLines,
});

export const readingDocSchema = z.strictObject({
  kind: z.literal("reading"),
  reference: z.string().max(400),
  /** Code of the scripture text. */
  text: z.string().min(1).max(40),
  /** Whether verse numbers stand in the words. */
  numbers: z.boolean(),
});

export const cueDocSchema = z.discriminatedUnion("kind", [pageDocSchema, songDocSchema, readingDocSchema]);
export type CueDoc = z.infer<typeof cueDocSchema>;
export type PageDoc = z.infer<typeof pageDocSchema>;
export type SongDoc = z.infer<typeof songDocSchema>;
export type ReadingDoc = z.infer<typeof readingDocSchema>;
