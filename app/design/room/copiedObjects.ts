import { z } from "zod";
import { type ReadableObject, sceneObjectSchema } from "../../../core/scene/objectKinds.ts";
import { readCopied } from "../../ui/readCopied.ts";

const FORMAT = "vesko objects 1";

/** Objects as they are copied: text, for another template, another show, or somebody else. */
const copiedSchema = z.strictObject({
  format: z.literal(FORMAT),
  objects: z.array(sceneObjectSchema).min(1).max(500),
});

export const textOfObjects = (objects: readonly ReadableObject[]): string =>
  objects.length === 0 ? "" : JSON.stringify({ format: FORMAT, objects }, null, 1);

export const objectsIn = (text: string): readonly ReadableObject[] =>
  (readCopied(text, copiedSchema)?.objects ?? []) as readonly ReadableObject[];
