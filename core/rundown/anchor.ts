import { z } from "zod";

/** A place in a content, not a number in a list: it holds when outfits divide the words differently. */
export const anchorSchema = z.strictObject({
  occurrence: z.string().max(80),
  unit: z.number().int().min(0).max(10_000),
  /**
   * Only from this unit on, where the words were divided anew about what is on air: what stands before it on the same
   * slide was shown already.
   */
  from: z.number().int().min(0).max(10_000).optional(),
});
export type Anchor = z.infer<typeof anchorSchema>;

export const sameAnchor = (a: Anchor, b: Anchor) =>
  a.occurrence === b.occurrence && a.unit === b.unit && a.from === b.from;
