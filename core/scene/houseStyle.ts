import { z } from "zod";
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

/** Token → value; templates refer to tokens, so changing one here changes every page that wears them. */
export const houseStyleSchema = z.strictObject({
  kind: z.literal("style"),
  name: z.string().min(1).max(80),
  colors: byNameSchema(colorSchema),
  /** Role (words, titles, plain) → typeface; fallbacks for other scripts follow by themselves. */
  fonts: byNameSchema(typefaceSchema),
  /** Lengths are px at a picture height of 1080; "shadow" is the strength of all shadows, 1 as drawn. */
  numbers: byNameSchema(z.number().min(-1_000).max(1_000)),
});
export type HouseStyle = z.infer<typeof houseStyleSchema>;

/** A colour written out, a token of the house style with its own opacity, or what a field says. */
export const colorRefSchema = z.union([
  colorSchema,
  z.strictObject({ token: tokenName, alpha: z.number().min(0).max(1).optional() }),
  z.strictObject({ field: tokenName, or: z.strictObject({ token: tokenName }) }),
]);
export type ColorRef = z.infer<typeof colorRefSchema>;

/** A number within limits, or a token of the house style, times a factor. */
export const numberRefSchema = (min: number, max: number) =>
  z.union([
    z.number().min(min).max(max),
    z.strictObject({ token: tokenName, times: z.number().min(-100).max(100).optional() }),
  ]);
export type NumberRef = z.infer<ReturnType<typeof numberRefSchema>>;
