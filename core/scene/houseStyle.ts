import { z } from "zod";

export const colorSchema = z
  .string()
  .regex(/^#[0-9a-f]{6}([0-9a-f]{2})?$/i, "a colour is #rrggbb or #rrggbbaa");

/** Token → value; templates refer to tokens, so changing one here changes every page that wears them. */
export const houseStyleSchema = z.strictObject({
  kind: z.literal("style"),
  name: z.string().min(1).max(80),
  colors: z.record(z.string().max(40), colorSchema),
  /** Role of a typeface (words, titles…) → font ids, best first; script fallbacks follow by themselves. */
  fonts: z.record(z.string().max(40), z.array(z.string().max(80)).min(1).max(8)),
  /** Corner radius of bars and panels, px at a picture height of 1080. */
  radiusPx: z.number().min(0).max(200),
});
export type HouseStyle = z.infer<typeof houseStyleSchema>;

/** A colour written out, or the name of a token with its own opacity. */
export const colorRefSchema = z.union([
  colorSchema,
  z.strictObject({ token: z.string().max(40), alpha: z.number().min(0).max(1).optional() }),
]);
export type ColorRef = z.infer<typeof colorRefSchema>;

/** CSS hex of a reference. An unknown token gives paper white: a page must never go blank for a missing colour. */
export function resolveColor(ref: ColorRef, style: HouseStyle): string {
  if (typeof ref === "string") return ref;
  const color = style.colors[ref.token] ?? "#ffffff";
  if (ref.alpha === undefined) return color;
  const alpha = Math.round(ref.alpha * 255)
    .toString(16)
    .padStart(2, "0");
  return color.slice(0, 7) + alpha;
}
