import { z } from "zod";

const MOST_TAGS = 20;

/** What a person says of a file of the library; where it lies is for finding it only. */
export const libraryEntrySchema = z.strictObject({
  name: z.string().trim().min(1).max(200),
  /** Folders within one another, parted by strokes: "Advent/Stars"; empty: in none. */
  folder: z
    .string()
    .trim()
    .max(120)
    .transform((folder) =>
      folder
        .split("/")
        .map((part) => part.trim())
        .filter((part) => part !== "")
        .join("/"),
    ),
  tags: z
    .array(z.string().trim().min(1).max(40))
    .max(MOST_TAGS)
    .transform((tags) => [...new Set(tags)]),
});
export type LibraryEntry = z.infer<typeof libraryEntrySchema>;
