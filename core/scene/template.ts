import { z } from "zod";
import { trackSchema } from "../motion/track.ts";
import { colorRefSchema } from "./houseStyle.ts";

/**
 * The open template format: what a page looks like and how it moves, made once on a canvas of the output's
 * size. Every stored template is parsed by this schema on its way in and out.
 */
const lengthPx = z.number().min(-20_000).max(20_000);
const boxSchema = z.strictObject({
  x: lengthPx,
  y: lengthPx,
  width: z.number().positive().max(20_000),
  height: z.number().positive().max(20_000),
});

const fillSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("solid"), color: colorRefSchema }),
  z.strictObject({
    kind: z.literal("linear"),
    /** Clockwise from upwards, as in CSS gradients. */
    angleDeg: z.number().min(-360).max(360),
    stops: z
      .array(z.strictObject({ at: z.number().min(0).max(1), color: colorRefSchema }))
      .min(2)
      .max(12),
  }),
]);
export type Fill = z.infer<typeof fillSchema>;

const strokeSchema = z.strictObject({ color: colorRefSchema, widthPx: z.number().positive().max(200) });
const shadowSchema = z.strictObject({
  color: colorRefSchema,
  blurPx: z.number().min(0).max(200),
  offsetXPx: z.number().min(-200).max(200),
  offsetYPx: z.number().min(-200).max(200),
});

/** Enter, change and exit of one object. Mirror is the enter motion backwards, easing included. */
const motionSchema = z.strictObject({
  enter: z.array(trackSchema).max(16),
  exit: z.union([z.literal("mirror"), z.array(trackSchema).max(16)]),
  /** When its content changes while the page stays: the new comes in, the old goes out. */
  change: z.strictObject({ in: z.array(trackSchema).max(16), out: z.array(trackSchema).max(16) }),
});
export type ObjectMotion = z.infer<typeof motionSchema>;

const fieldName = z.string().min(1).max(40);
const showWhenSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("always") }),
  z.strictObject({ kind: z.literal("notEmpty"), field: fieldName }),
]);
export type ShowWhen = z.infer<typeof showWhenSchema>;

const common = {
  id: z.string().min(1).max(60),
  box: boxSchema,
  fill: fillSchema,
  stroke: strokeSchema.nullable(),
  shadow: shadowSchema.nullable(),
  showWhen: showWhenSchema,
  motion: motionSchema,
};

const rectangleSchema = z.strictObject({
  ...common,
  kind: z.literal("rectangle"),
  /** "style" takes the house style's. */
  radiusPx: z.union([z.number().min(0).max(10_000), z.literal("style")]),
});

const textSchema = z.strictObject({
  ...common,
  kind: z.literal("text"),
  field: fieldName,
  /** A typeface role of the house style. */
  font: z.string().max(40),
  minSizePx: z.number().min(4).max(2_000),
  maxSizePx: z.number().min(4).max(2_000),
  /** No smaller than this can it be read from the last row; division into steps respects it. */
  readableSizePx: z.number().min(4).max(2_000),
  leading: z.number().min(0.7).max(3),
  align: z.enum(["start", "center", "end"]),
  verticalAlign: z.enum(["top", "middle", "bottom"]),
  letterCase: z.enum(["asTyped", "upper"]),
  /** Keeps typed lines whole down to the readable size, and only then wraps them. */
  keepLines: z.boolean(),
  balance: z.boolean(),
});
export type TextObject = z.infer<typeof textSchema>;

export const sceneObjectSchema = z.discriminatedUnion("kind", [rectangleSchema, textSchema]);
export type SceneObject = z.infer<typeof sceneObjectSchema>;

export const templateSchema = z.strictObject({
  kind: z.literal("template"),
  format: z.literal(1),
  name: z.string().min(1).max(80),
  /** The field set whose pages can wear this template. */
  fieldSet: z.string().min(1).max(40),
  canvas: z.strictObject({
    widthPx: z.number().int().min(16).max(16_000),
    heightPx: z.number().int().min(16).max(16_000),
  }),
  /** From the back to the front. */
  objects: z.array(sceneObjectSchema).max(200),
});
export type Template = z.infer<typeof templateSchema>;
