import { z } from "zod";
import { t } from "../language/t.ts";
import { nameSchema } from "../names/name.ts";
import { PART_NAMES, type PartName } from "./carriedShow.ts";

/** Of the archive: what its files are and how they stand in it. Documents in them have versions of their own. */
export const SHOW_FILE_VERSION = 1;
export const SHOW_FILE_ENDING = ".vesko.zip";

/** All of a show, or one evening with what it needs. */
export const heldSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("all") }),
  z.strictObject({ kind: z.literal("evening"), id: nameSchema(60), name: z.string().max(120) }),
]);
export type Held = z.infer<typeof heldSchema>;

/** More than a library holds, with their stills. */
const MOST_FILES = 8_000;

/** `show.json`: what the archive is, and every other file in it with its size and the sum of its bytes. */
export const showFileSchema = z.strictObject({
  format: z.literal("vesko show"),
  version: z.literal(SHOW_FILE_VERSION),
  /** Version of the program that wrote it. */
  program: z.string().max(40),
  name: z.string().max(120),
  holds: heldSchema,
  madeAtMs: z.number().int().min(0),
  files: z
    .array(
      z.strictObject({
        place: z.string().max(100),
        bytes: z.number().int().min(0),
        /** SHA-256, in hex. */
        sum: z.string().regex(/^[0-9a-f]{64}$/),
      }),
    )
    .max(MOST_FILES + PART_NAMES.length + 1),
});
export type ShowFile = z.infer<typeof showFileSchema>;

export const ABOUT_PLACE = "show.json";
export const partPlace = (part: PartName | "documents"): string => `parts/${part}.json`;
export const PART_FILES: readonly (PartName | "documents")[] = [...PART_NAMES, "documents"];

/** Where a file stands in the archive; its ending is for people who look into it. */
export const filePlace = (sum: string, ending: string): string => `files/${sum}${ending}`;
/** The sum of a file's bytes by where it stands. */
export const sumOfPlace = (place: string): string | undefined =>
  /^files\/([0-9a-f]{64})(\.[a-z0-9]{1,5})?$/.exec(place)?.[1];

/** Reads `show.json`. @returns a sentence when this program cannot open the file */
export function readShowFile(text: string): ShowFile | { readonly problem: string } {
  let said: unknown;
  try {
    said = JSON.parse(text);
  } catch {
    return { problem: NO_SHOW_FILE };
  }
  const about = z
    .object({ format: z.string(), version: z.number(), program: z.string().max(40) })
    .safeParse(said);
  if (!about.success || about.data.format !== "vesko show") return { problem: NO_SHOW_FILE };
  const { version, program } = about.data;
  if (version > SHOW_FILE_VERSION)
    return {
      problem: t`This show file is of version ${version}, written by Vesko ${program}; this Vesko reads up to version ${SHOW_FILE_VERSION}. Nothing was opened. Bring this machine up to date, or save the show there for this one.`,
    };
  const read = showFileSchema.safeParse(said);
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  return {
    problem: t`The show file’s list of contents cannot be read (${issue?.path.join(".")}: ${issue?.message}). Nothing was opened; save it again where it comes from.`,
  };
}

const NO_SHOW_FILE = t`That is no show file: it has no “show.json” that says so. Nothing was opened. Choose a file that “Save a show file” made.`;
