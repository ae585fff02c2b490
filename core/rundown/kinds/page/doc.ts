import { z } from "zod";
import { bindingsSchema, picksSchema } from "../../../feeds/binding.ts";
import { byNameSchema, nameSchema } from "../../../names/name.ts";
import { onAnyCue } from "../onAnyCue.ts";

/** What a person typed for a cue: the row in the rundown. From it the content for the air is compiled. */
export const pageDocSchema = z.strictObject({
  kind: z.literal("page"),
  fieldSet: z.string().min(1).max(40),
  values: byNameSchema(z.string().max(2_000)),
  /** Fields that are filled from feeds; what is typed there is shown until a value comes. */
  bindings: bindingsSchema.default({}),
  /** The rows that were picked for it. */
  picks: picksSchema.default({}),
  /** The layer it goes to; null: the usual one of its kind. */
  layerId: nameSchema(40).nullable().default(null),
  /** Leaves by itself after this long; null stays until taken out. */
  stayMs: z.number().int().min(500).max(3_600_000).nullable(),
  /** Leaves when its countdown is at zero. */
  leavesAtZero: z.boolean().default(false),
  ...onAnyCue,
});

export type PageDoc = z.infer<typeof pageDocSchema>;

export const pageCue = (fields: { readonly fieldSet: string } & Partial<PageDoc>): PageDoc =>
  pageDocSchema.parse({ values: {}, stayMs: null, ...fields, kind: "page" });

/** The page with another row picked of a feed; undefined: none, so that it shows its waiting words. */
export function withPick(doc: PageDoc, feedId: string, row: string | undefined): PageDoc {
  const { [feedId]: _, ...others } = doc.picks;
  return { ...doc, picks: row === undefined ? others : { ...others, [feedId]: row } };
}
