import { z } from "zod";
import { crawlSpeedSchema } from "../crawl/rate.ts";
import { byNameSchema } from "../names/name.ts";
import type { ReadableObject } from "./template.ts";

/** How one text or crawl of a page is moved, sized, sped or left out, for this page alone. */
export const adjustmentSchema = z.strictObject({
  /** On the template's canvas, to the right and down. */
  xPx: z.number().int().min(-4_000).max(4_000).default(0),
  yPx: z.number().int().min(-4_000).max(4_000).default(0),
  /** Times its size. */
  scale: z.number().min(0.2).max(4).default(1),
  isHidden: z.boolean().default(false),
  /** How fast it goes where it crawls, in pixels of the template's canvas; null: as the template says. */
  speed: crawlSpeedSchema.nullable().default(null),
});
export type Adjustment = z.infer<typeof adjustmentSchema>;

/** Field → how the texts that show it are adjusted. */
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

export const NO_ADJUSTMENT: Adjustment = { xPx: 0, yPx: 0, scale: 1, isHidden: false, speed: null };

const made = new WeakMap<ReadableObject, Map<string, ReadableObject>>();

/**
 * An object as a page wants it; undefined when it is left out. The same adjustment of the same object is the same object,
 * so that what was laid out of it holds.
 */
export function adjusted(
  object: ReadableObject,
  adjustments: Adjustments | undefined,
): ReadableObject | undefined {
  if (!adjustments || (object.kind !== "text" && object.kind !== "crawl")) return object;
  if (object.words.kind !== "field") return object;
  const adjustment = adjustments[object.words.field];
  if (!adjustment) return object;
  if (adjustment.isHidden) return undefined;
  const key = JSON.stringify(adjustment);
  const known = made.get(object) ?? new Map<string, ReadableObject>();
  made.set(object, known);
  let result = known.get(key);
  if (!result) {
    const { xPx, yPx, scale, speed } = adjustment;
    const { box } = object;
    result = {
      ...object,
      box: { ...box, x: box.x + xPx, y: box.y + yPx },
      minSizePx: object.minSizePx * scale,
      maxSizePx: object.maxSizePx * scale,
      ...(object.kind === "crawl" && speed ? { speed } : {}),
    };
    known.set(key, result);
  }
  return result;
}
