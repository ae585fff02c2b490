import { join } from "node:path";
import { z } from "zod";
import { fileSchemaOf } from "../core/carry/carriedShow.ts";
import {
  ABOUT_PLACE,
  PART_FILES,
  partPlace,
  SHOW_FILE_VERSION,
  showFileSchema,
} from "../core/carry/showFile.ts";
import { STORED_KINDS } from "../core/stored/kinds.ts";
import { versionOf } from "../core/stored/storedKind.ts";

export const SHOW_FILE_SCHEMA_FILE = join(import.meta.dirname, "../docs/formats/show-file.schema.json");

/** Documents in a show file, by the part that they stand in or by what they are. */
const DOCUMENTS = [
  ...([
    "cue",
    "song",
    "output",
    "plan",
    "feed",
    "goodTable",
    "source",
    "trigger",
    "clip",
    "clipMapping",
  ] as const),
  ...(["followSettings", "commentSettings", "media", "outfit", "fieldSet", "style"] as const),
];

/** The show file as JSON Schema (draft 2020-12): its list of contents, its parts, and the documents that stand in them. */
export function showFileJsonSchema(): string {
  const input = { io: "input", reused: "ref" } as const;
  const schema = {
    title: `Show file, version ${SHOW_FILE_VERSION}`,
    files: {
      [ABOUT_PLACE]: z.toJSONSchema(showFileSchema, input),
      ...Object.fromEntries(
        PART_FILES.map((name) => [partPlace(name), z.toJSONSchema(fileSchemaOf(name), input)]),
      ),
    },
    documents: Object.fromEntries(
      DOCUMENTS.map((name) => [
        name,
        {
          formatVersion: versionOf(STORED_KINDS[name]),
          schema: z.toJSONSchema(STORED_KINDS[name].schema as z.ZodType, input),
        },
      ]),
    ),
  };
  return `${JSON.stringify(schema, null, 1)}\n`;
}
