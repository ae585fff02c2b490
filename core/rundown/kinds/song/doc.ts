import { z } from "zod";
import { CREDIT_PLACES } from "../../../words/credits.ts";
import { songFields } from "../../../words/songFields.ts";
import { onAnyCue } from "../onAnyCue.ts";

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

export type SongDoc = z.infer<typeof songDocSchema>;

/** A song cue with nothing said about how it is shown. */
export const songCue = (
  fields: { readonly title: string; readonly text: string } & Partial<SongDoc>,
): SongDoc => songDocSchema.parse({ ...fields, kind: "song" });
