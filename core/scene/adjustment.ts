import { z } from "zod";
import { crawlSpeedSchema } from "../crawl/rate.ts";
import { byNameSchema } from "../names/name.ts";

/** How one object of a page is moved, sized, sped, heard or left out, for this page alone. */
export const adjustmentSchema = z.strictObject({
  /** On the template's canvas, to the right and down. */
  xPx: z.number().int().min(-4_000).max(4_000).default(0),
  yPx: z.number().int().min(-4_000).max(4_000).default(0),
  /** Times its size. */
  scale: z.number().min(0.2).max(4).default(1),
  isHidden: z.boolean().default(false),
  /** It is shown whatever its rule says; not said: as its rule says. */
  isShown: z.literal(true).optional(),
  /** How fast it goes where it crawls, in pixels of the template's canvas; null: as the template says. */
  speed: crawlSpeedSchema.nullable().default(null),
  /** How loud a clip or sound is, 0 to 1, and whether it begins again at its end; null: as the template says. */
  level: z.number().min(0).max(1).nullable().default(null),
  isLooped: z.boolean().nullable().default(null),
  /** Times the width of the box that its words are set in; not said: as it was made. */
  wide: z.number().min(0.5).max(4).optional(),
  /** A soft shade of this colour behind its letters; not said: as it was made. */
  shade: z
    .string()
    .regex(/^#[0-9a-f]{6}$/)
    .optional(),
});
export type Adjustment = z.infer<typeof adjustmentSchema>;

/** Field → how what shows it is adjusted; what shows none goes by its own id after a "#". */
export const adjustmentsSchema = byNameSchema(adjustmentSchema);
export type Adjustments = z.infer<typeof adjustmentsSchema>;

/** Where a whole page stands on an output, and how large, for this page alone. */
export const wholeSchema = z.strictObject({
  /** To the right and down, in hundredths of the output's width and height. */
  xPercent: z.number().min(-100).max(100),
  yPercent: z.number().min(-100).max(100),
  /** Times its size, about the middle. */
  scale: z.number().min(0.1).max(3),
});
export type Whole = z.infer<typeof wholeSchema>;
export const AS_MADE: Whole = { xPercent: 0, yPercent: 0, scale: 1 };

export const NO_ADJUSTMENT: Adjustment = {
  xPx: 0,
  yPx: 0,
  scale: 1,
  isHidden: false,
  speed: null,
  level: null,
  isLooped: null,
};
