import { z } from "zod";
import { byNameSchema } from "../names/name.ts";
import { creditsSchema, NO_CREDITS } from "./credits.ts";
import { MOST_BREAKS, manualBreakSchema } from "./manualBreaks.ts";
import { MOST_TOLD, toldSchema } from "./reader/told.ts";

/** What is known of a song: the same in the library and, as its own copy, in a rundown. */
export const songFields = {
  title: z.string().max(200),
  /** As typed or pasted, labels and all; chords may stand in it and are not shown. */
  text: z.string().max(200_000),
  /** As typed, such as "V1 C V2 C B C C"; empty: as the text has it. */
  order: z.string().max(2_000).default(""),
  /** BCP 47 tag of the words; empty when not said. */
  language: z.string().max(20).default(""),
  /** The same sections in another language, for screens that show both. */
  second: z
    .strictObject({ language: z.string().max(20), text: z.string().max(200_000) })
    .nullable()
    .default(null),
  /** Which version of the song this is, where there are several. */
  version: z.string().max(80).default(""),
  credits: creditsSchema.default(NO_CREDITS),
  /** Lines per slide where this song differs from the outfit, by outfit. */
  lines: byNameSchema(z.number().int().min(1).max(20)).default({}),
  /** Slides parted and joined by hand. */
  breaks: z.array(manualBreakSchema).max(MOST_BREAKS).default([]),
  /** Lines of the text that a person said are something else than they look. */
  told: z.array(toldSchema).max(MOST_TOLD).default([]),
  /** Lines of a song file that are not understood, kept for when it is written again. */
  kept: z.array(z.string().max(1_000)).max(200).default([]),
  /** For each of them, how many lines of the text stood before it. */
  keptAt: z.array(z.number().int().min(0).max(10_000)).max(200).default([]),
} as const;

export const songSchema = z.strictObject(songFields);
export type SongFields = z.infer<typeof songSchema>;

/** The fields of a song alone, whatever else an object has. */
export function songFieldsOf(source: SongFields): SongFields {
  const { title, text, order, language, second, version, credits, lines, breaks, told, kept, keptAt } =
    source;
  return { title, text, order, language, second, version, credits, lines, breaks, told, kept, keptAt };
}

export const songOf = (title: string, text: string): SongFields => songSchema.parse({ title, text });
