import { z } from "zod";
import { chromaKeySchema } from "../scene/media.ts";

/** Where a file lies in the archive: one name in one folder, nothing that leads out of it. */
const fileSchema = z
  .string()
  .regex(/^(media|fonts)\/[^/\\\p{Cc}]{1,160}$/u, "a file lies in media/ or fonts/");

/** What a pack says of itself, in `pack.json`. Its document is `template.json` or `style.json`. */
export const designPackSchema = z.strictObject({
  format: z.literal(1),
  /** What the template names of the library by name, with the files. */
  media: z
    .array(
      z.strictObject({
        name: z.string().min(1).max(200),
        file: fileSchema,
        /** A still of a clip. */
        poster: fileSchema.nullable().default(null),
        key: chromaKeySchema.nullable().default(null),
      }),
    )
    .max(200)
    .default([]),
  /** Fonts by their files; a style names them by the id. */
  fonts: z
    .array(
      z.strictObject({ id: z.string().min(1).max(80), name: z.string().min(1).max(200), file: fileSchema }),
    )
    .max(40)
    .default([]),
});
export type DesignPack = z.infer<typeof designPackSchema>;

export const PACK_FILES = {
  about: "pack.json",
  template: "template.json",
  style: "style.json",
  /** The fields that the template is for, so that it can come to a show that has no such pages. */
  fields: "fields.json",
} as const;

/** The most that a pack holds, as it is unpacked. */
export const MOST_PACK_BYTES = 96 * 1024 * 1024;
