import { z } from "zod";
import { t } from "../language/t.ts";
import { byNameSchema, nameSchema } from "../names/name.ts";
import type { Clip } from "./clip.ts";

export const MOST_MAPPINGS = 20;
/** Fields that one mapping makes. */
const MOST_FIELDS = 20;

/** Which elements of the files beside clips are which fields: made once for each maker of such files, and kept by name. */
export const clipMappingSchema = z.strictObject({
  id: nameSchema(60),
  name: z.string().trim().min(1).max(60),
  /** Name of a field → path of the element that fills it. */
  fields: byNameSchema(z.string().min(1).max(200), 40).refine(
    (fields) => Object.keys(fields).length <= MOST_FIELDS,
    t`a mapping has at most ${MOST_FIELDS} fields`,
  ),
});
export type ClipMapping = z.infer<typeof clipMappingSchema>;

/** The field that a clip is called by, where a mapping makes one of that name. */
export const TITLE_FIELD = "title";

/** What is known of a clip by its mapping: field → words. A field whose element is not there is empty. */
export function detailsOf(
  clip: Pick<Clip, "elements" | "mappingId">,
  mappings: readonly ClipMapping[],
): Readonly<Record<string, string>> {
  const fields = mappings.find(({ id }) => id === clip.mappingId)?.fields ?? {};
  return Object.fromEntries(
    Object.entries(fields).map(([field, path]) => [field, clip.elements[path] ?? ""]),
  );
}

/** What a clip is called on air. */
export const titleOfClip = (clip: Clip, mappings: readonly ClipMapping[]): string =>
  detailsOf(clip, mappings)[TITLE_FIELD]?.trim() || clip.name;

/** Every field that some mapping makes, the title left out: in the order of the mappings. */
export const fieldsOfMappings = (mappings: readonly ClipMapping[]): string[] => [
  ...new Set(mappings.flatMap(({ fields }) => Object.keys(fields)).filter((field) => field !== TITLE_FIELD)),
];

/** A mapping to begin with: each element by the last part of its path, as far as that is one of a kind. */
export function firstFields(elements: Readonly<Record<string, string>>): Record<string, string> {
  const found: Record<string, string> = {};
  for (const path of Object.keys(elements)) {
    const last = path.split("/").at(-1)?.replace(/^@/, "").slice(0, 40).toLowerCase() ?? "";
    if (last !== "" && found[last] === undefined && Object.keys(found).length < MOST_FIELDS)
      found[last] = path;
  }
  return found;
}
