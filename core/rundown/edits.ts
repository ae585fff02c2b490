import { z } from "zod";
import { findingSchema } from "../findings/finding.ts";
import { nameSchema } from "../names/name.ts";
import { MOST_BULK_PAGES } from "./bulkPages.ts";
import { cueDocSchema } from "./cueDoc.ts";
import { onAnyCue } from "./kinds/onAnyCue.ts";

/** What Prepare may do to the rundown. Ids are made by the desk, so that an edit can be shown before it is saved. */
const cueId = nameSchema(60, 8);
const baseRevision = z.number().int().min(0);

export const editSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("addCue"), cueId, doc: cueDocSchema, afterId: cueId.nullable() }),
  /** Several at once, one after another: taken back by one undo. */
  z.strictObject({
    kind: z.literal("addCues"),
    cues: z
      .array(z.strictObject({ cueId, doc: cueDocSchema }))
      .min(1)
      .max(MOST_BULK_PAGES),
    afterId: cueId.nullable(),
  }),
  /** Words replaced wherever they stand in these cues, or in all. */
  z.strictObject({
    kind: z.literal("replaceWords"),
    find: z.string().min(1).max(200),
    by: z.string().max(200),
    matchCase: z.boolean(),
    wholeWords: z.boolean(),
    cueIds: z.array(cueId).max(4_000).nullable(),
  }),
  /** How long cues are planned to take; the rest of them stays as it is. One undo. */
  z.strictObject({
    kind: z.literal("planLengths"),
    lengths: z
      .array(z.strictObject({ cueId, plannedMs: onAnyCue.plannedMs }))
      .min(1)
      .max(4_000),
  }),
  z.strictObject({ kind: z.literal("changeCue"), cueId, doc: cueDocSchema, baseRevision }),
  z.strictObject({ kind: z.literal("moveCue"), cueId, afterId: cueId.nullable() }),
  z.strictObject({ kind: z.literal("duplicateCue"), cueId, newId: cueId }),
  z.strictObject({ kind: z.literal("deleteCue"), cueId }),
  /** Several at once, one undo. */
  z.strictObject({ kind: z.literal("deleteCues"), cueIds: z.array(cueId).min(1).max(500) }),
  z.strictObject({
    kind: z.literal("moveCues"),
    cueIds: z.array(cueId).min(1).max(500),
    afterId: cueId.nullable(),
  }),
  z.strictObject({ kind: z.literal("undo") }),
  z.strictObject({ kind: z.literal("redo") }),
]);
export type Edit = z.infer<typeof editSchema>;

export const editRequestSchema = z.strictObject({ actor: z.string().min(8).max(60), edit: editSchema });

/** A cue as a desk knows it. */
export const cueViewSchema = z.strictObject({
  cueId: z.string(),
  revision: z.number().int(),
  doc: cueDocSchema,
  compiled: z.union([
    z.strictObject({ hash: z.string() }),
    z.strictObject({ problem: findingSchema }),
    z.strictObject({ silent: z.literal(true) }),
    /** Many came at once: its content is being made. */
    z.strictObject({ pending: z.literal(true) }),
  ]),
});
export type CueView = z.infer<typeof cueViewSchema>;

/** Whose change a save met: somebody else's, one's own, or one's own undo. */
export type ConflictBy = "other" | "own" | "ownUndo";

export type EditOutcome =
  | {
      readonly kind: "saved";
      readonly revision: number;
      readonly label: string;
      readonly cueId: string | null;
    }
  /** The cue has moved on since: here is how it stands. */
  | {
      readonly kind: "conflict";
      readonly by: ConflictBy;
      readonly sentence: string;
      readonly current: CueView | null;
    }
  | { readonly kind: "refused"; readonly sentence: string };
