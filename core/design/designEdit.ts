import { z } from "zod";
import { nameSchema } from "../names/name.ts";
import { changesSchema } from "./changes.ts";
import type { DesignKindName } from "./designKinds.ts";

const KINDS = ["template", "fieldSet", "outfit", "style"] as const satisfies readonly DesignKindName[];

export const designRefSchema = z.strictObject({ kind: z.enum(KINDS), id: nameSchema(80) });
/** What names a thing made in Design. */
export type DesignRef = z.infer<typeof designRefSchema>;

const label = z.string().min(1).max(120);

/** What a person does in Design. */
export const designEditSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("change"),
    of: designRefSchema,
    changes: changesSchema,
    label,
    /** It goes on with what this person did a moment ago: one step back for both. */
    joins: z.boolean(),
  }),
  z.strictObject({ kind: z.literal("undo"), of: designRefSchema }),
  z.strictObject({ kind: z.literal("redo"), of: designRefSchema }),
  z.strictObject({
    kind: z.literal("publish"),
    of: designRefSchema,
    note: z.string().max(400),
    /** Who publishes it, as the others call this desk. */
    by: z.string().max(60),
  }),
  /** The draft is made as a version was; it is published by itself. */
  z.strictObject({ kind: z.literal("restore"), of: designRefSchema, number: z.number().int().min(1) }),
  /** An empty template on the canvas of an outfit, which offers it once it is published. */
  z.strictObject({
    kind: z.literal("create"),
    of: designRefSchema,
    name: label,
    fieldSet: nameSchema(40),
    outfitId: nameSchema(60),
  }),
  /** A new kind of page: one field of words, for templates to be made for. In use at once: nothing wears it yet. */
  z.strictObject({
    kind: z.literal("createFields"),
    of: designRefSchema,
    name: label,
    layerId: nameSchema(60),
  }),
  /** Another thing as this one is, not published yet. */
  z.strictObject({ kind: z.literal("duplicate"), of: designRefSchema, id: nameSchema(80), name: label }),
  z.strictObject({ kind: z.literal("remove"), of: designRefSchema }),
  z.strictObject({ kind: z.literal("putBack"), of: designRefSchema }),
]);
export type DesignEdit = z.infer<typeof designEditSchema>;

/** A thing as the room has it. */
export interface DesignState {
  /** Grows with every change. */
  readonly revision: number;
  /** Something is being made of it that nobody wears yet. */
  readonly isDraft: boolean;
  /** The number of the version in use; null: it was never published. */
  readonly published: number | null;
  /** What this person's undo and redo would step over. */
  readonly undo: string | null;
  readonly redo: string | null;
}

/** A version of a thing, and what was new in it. */
export interface VersionTold {
  readonly number: number;
  readonly atMs: number;
  readonly by: string;
  readonly note: string;
  /** In sentences; of the first there are none. */
  readonly changes: readonly string[];
}

/** What putting a draft into use would touch. */
export interface Touches {
  readonly pages: number;
  readonly evenings: number;
  /** Cues of the open evening, in its order. */
  readonly cueIds: readonly string[];
  /** Names of screens that show it in the plan in use. */
  readonly screens: readonly string[];
  readonly isOnAir: boolean;
}
