import { z } from "zod";
import { measureSchema, type Resolved } from "../names/measure.ts";
import { byNameSchema, nameSchema } from "../names/name.ts";

export const colorSchema = z
  .string()
  .regex(/^#[0-9a-f]{6}([0-9a-f]{2})?$/i, "a colour is #rrggbb or #rrggbbaa");

const tokenName = nameSchema(40);
const fontIds = z.array(z.string().max(80)).max(8);

/** A typeface in its cuts; each a list of font ids, best first. An empty cut is drawn in the regular one. */
const typefaceSchema = z.strictObject({
  regular: fontIds.min(1),
  bold: fontIds,
  italic: fontIds,
  boldItalic: fontIds,
});
export type Typeface = z.infer<typeof typefaceSchema>;

/** A colour written out, a token of the house style with its own opacity, or what a field says. */
export const colorRefSchema = z.union([
  colorSchema,
  z.strictObject({ token: tokenName, alpha: z.number().min(0).max(1).optional() }),
  z.strictObject({ field: tokenName, or: z.strictObject({ token: tokenName }) }),
]);
export type ColorRef = z.infer<typeof colorRefSchema>;

/** A shadow; a glow is one without an offset. */
export const shadowSchema = z.strictObject({
  color: colorRefSchema,
  blurPx: measureSchema(0, 200).default(0),
  offsetXPx: measureSchema(-200, 200).default(0),
  offsetYPx: measureSchema(-200, 200).default(0),
});
export type Shadow = Resolved<z.infer<typeof shadowSchema>>;

/** Shadows of an object: each its own, or those of the house style by their name. */
export const shadowsSchema = z.array(z.union([shadowSchema, z.strictObject({ shadow: tokenName })])).max(3);

/** Token → value; templates refer to tokens, so changing one here changes every page that wears them. */
export const houseStyleSchema = z.strictObject({
  kind: z.literal("style"),
  name: z.string().min(1).max(80),
  colors: byNameSchema(colorSchema),
  /** Role (words, titles, plain) → typeface; fallbacks for other scripts follow by themselves. */
  fonts: byNameSchema(typefaceSchema),
  /** Lengths are px at a picture height of 1080, times are ms; "shadow" is the strength of all shadows, 1 as drawn. */
  numbers: byNameSchema(z.number().min(-20_000).max(20_000)),
  /** Shadows that templates name. */
  shadows: byNameSchema(z.array(shadowSchema).max(3)).optional(),
});
export type HouseStyle = z.infer<typeof houseStyleSchema>;
