import { z } from "zod";
import { byNameSchema, nameSchema } from "../names/name.ts";

/** Templates that an outfit may offer for one field set. */
export const MOST_OFFERED = 40;

/** How a kind of screen dresses pages: which template it wears for each field set, and how many lines a slide of it has. */
export const outfitSchema = z.strictObject({
  kind: z.literal("outfit"),
  name: z.string().min(1).max(80),
  linesPerSlide: z.number().int().min(1).max(20),
  /** Outfits that stand in for this one on screens of their shape. */
  variants: z.array(nameSchema(60)).max(8).default([]),
  /** Field set → ids of templates: the one that it wears, and after it those that a page may choose. */
  wears: byNameSchema(z.array(nameSchema(60)).min(1).max(MOST_OFFERED), 40),
});
export type Outfit = z.infer<typeof outfitSchema>;
