import { z } from "zod";
import { clipSchema, MOST_CLIPS } from "./clip.ts";
import { clipMappingSchema } from "./clipMapping.ts";

const revision = z.number().int().min(0);
const id = z.string().min(1).max(60);

/** What may be done to the list of clips and to mappings. A revision is the one that the person saw; 0: it is new. */
export const clipEditSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("saveClip"), clip: clipSchema, baseRevision: revision }),
  /** What a file beside a clip says: it takes the place of what was known, whatever else was done to the clip meanwhile. */
  z.strictObject({
    kind: z.literal("bringDetails"),
    id,
    elements: clipSchema.shape.elements.unwrap(),
    /** The mapping that its fields are by from now on; absent: as it was. */
    mappingId: clipSchema.shape.mappingId.unwrap().optional(),
  }),
  z.strictObject({ kind: z.literal("removeClip"), id }),
  /** Every clip of the list, once, in their new order. */
  z.strictObject({ kind: z.literal("order"), ids: z.array(id).max(MOST_CLIPS) }),
  z.strictObject({ kind: z.literal("saveMapping"), mapping: clipMappingSchema, baseRevision: revision }),
  z.strictObject({ kind: z.literal("removeMapping"), id }),
]);
export type ClipEdit = z.infer<typeof clipEditSchema>;
