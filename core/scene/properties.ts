import { z } from "zod";
import { t } from "../language/t.ts";
import { measureSchema, type Resolved } from "../names/measure.ts";
import { nameSchema } from "../names/name.ts";
import { SCALE_MODES } from "../picture/place.ts";
import { colorRefSchema, shadowsSchema } from "./houseStyle.ts";
import { motionSchema, STILL } from "./motion.ts";
import { showWhenSchema } from "./showWhen.ts";
import { NO_TIES, tiesSchema } from "./ties.ts";

/** Where a property stands when people are shown the properties of an object. */
export const PROPERTY_GROUPS = ["Content", "Place", "Letters", "Look", "Time", "Motion", "Notes"] as const;
export type PropertyGroup = (typeof PROPERTY_GROUPS)[number];
export type Unit = "px" | "°" | "ms" | "em" | "×" | "%";

/** Says of a property what people call it, in which group it stands and what it is measured in. */
export function named<T extends z.ZodType>(schema: T, group: PropertyGroup, title: string, unit?: Unit): T {
  return schema.meta({ title, group, ...(unit ? { unit } : {}) }) as T;
}

export const lengthSchema = measureSchema(-20_000, 20_000);
const sizeSchema = measureSchema(0, 20_000);
export const fractionSchema = z.number().min(0).max(1);
export const fieldNameSchema = nameSchema(40);
export const objectIdSchema = nameSchema(60);

export const boxSchema = z.strictObject({
  x: lengthSchema,
  y: lengthSchema,
  /** Nothing of an object with an empty box is drawn. */
  width: sizeSchema,
  height: sizeSchema,
});
export type Box = Resolved<z.infer<typeof boxSchema>>;

const stopsSchema = z
  .array(z.strictObject({ at: fractionSchema, color: colorRefSchema }))
  .min(2)
  .max(12);
/** The point of a picture that must stay in sight, as fractions of it. */
export const focusSchema = z
  .strictObject({ x: fractionSchema, y: fractionSchema })
  .default({ x: 0.5, y: 0.5 });
const hash = z.string().regex(/^[0-9a-f]{64}$/);

export const mediaSourceSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("field"), field: fieldNameSchema }),
  z.strictObject({ kind: z.literal("media"), hash }),
  /** By its name in the library: made into the one above when a template is brought in. */
  z.strictObject({ kind: z.literal("library"), name: z.string().min(1).max(200) }),
]);
export type MediaSource = z.infer<typeof mediaSourceSchema>;

/** Which lines of a field that comes step by step: all, those shown so far, or the ones of the step. */
export const LINES_SHOWN = ["all", "soFar", "ofStep"] as const;
export const wordSourceSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("field"),
    field: fieldNameSchema,
    lines: z.enum(LINES_SHOWN).default("all"),
  }),
  z.strictObject({ kind: z.literal("fixed"), text: z.string().max(2_000) }),
  /** Words with fields in them: "{home} : {away}", "{sum|number.2} so far". See writtenWords.ts. */
  z.strictObject({ kind: z.literal("written"), text: z.string().max(2_000) }),
]);
export type WordSource = z.infer<typeof wordSourceSchema>;

export const fillSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("none") }),
  z.strictObject({ kind: z.literal("solid"), color: colorRefSchema }),
  z.strictObject({
    kind: z.literal("linear"),
    /** Clockwise from upwards, as in CSS gradients. */
    angleDeg: z.number().min(-360).max(360),
    stops: stopsSchema,
  }),
  z.strictObject({
    kind: z.literal("radial"),
    /** Middle as fractions of the box; radius as a fraction of its longer side. */
    center: z.strictObject({ x: z.number().min(-2).max(3), y: z.number().min(-2).max(3) }),
    radius: z.number().positive().max(4),
    stops: stopsSchema,
  }),
  z.strictObject({
    kind: z.literal("picture"),
    source: mediaSourceSchema,
    mode: z.enum(SCALE_MODES).default("fill"),
    focus: focusSchema,
  }),
]);
export type FillSpec = z.infer<typeof fillSchema>;
export type Fill = Resolved<FillSpec>;
export const NO_FILL = { kind: "none" } as const;

export const strokeSchema = z.strictObject({ color: colorRefSchema, widthPx: measureSchema(0, 200) });

const radius = measureSchema(0, 10_000);
/** One for all corners, or top left, top right, bottom right, bottom left. */
const cornersShape = z.union([radius, z.tuple([radius, radius, radius, radius])]);
export type CornersSpec = z.infer<typeof cornersShape>;
export type Corners = Resolved<CornersSpec>;
export const cornersSchema = named(cornersShape.default(0), "Look", t`Corner radius`, "px");
export const pointsSchema = z
  .array(z.strictObject({ x: z.number().min(-1).max(2), y: z.number().min(-1).max(2) }))
  .min(3)
  .max(64);

/** For whoever makes the template: painters pay no heed to it. */
const editingSchema = z.strictObject({
  /** What it is called in lists; empty: its id. */
  name: z.string().max(80).default(""),
  isLocked: z.boolean().default(false),
  note: z.string().max(400).default(""),
});
const NOT_EDITED = { name: "", isLocked: false, note: "" } as const;

export const common = {
  id: objectIdSchema,
  box: named(boxSchema, "Place", "Box", "px"),
  /** Edges that follow words, other objects or the canvas. */
  ties: named(tiesSchema.default(NO_TIES), "Place", t`Edges that follow something`),
  showWhen: named(showWhenSchema.default({ kind: "always" }), "Content", t`Shown when`),
  motion: named(motionSchema.default(STILL), "Motion", "Motion"),
  opacity: named(fractionSchema.default(1), "Look", "Opacity"),
  /** Clockwise, around the pivot. */
  rotationDeg: named(measureSchema(-360, 360).default(0), "Place", "Angle", "°"),
  /** What it turns and grows around, as fractions of its box. */
  pivot: named(
    z
      .strictObject({ x: z.number().min(-4).max(5), y: z.number().min(-4).max(5) })
      .default({ x: 0.5, y: 0.5 }),
    "Place",
    "Pivot",
  ),
  /** When, from the start of its page, it can be seen. */
  timeWindow: named(
    z
      .strictObject({
        fromMs: measureSchema(0, 3_600_000).default(0),
        untilMs: measureSchema(1, 3_600_000).nullable().default(null),
      })
      .default({ fromMs: 0, untilMs: null }),
    "Time",
    t`Seen from, until`,
    "ms",
  ),
  editing: named(editingSchema.default(NOT_EDITED), "Notes", t`For the designer`),
};

const matteSchema = z.strictObject({
  source: mediaSourceSchema,
  mode: z.enum(SCALE_MODES).default("fill"),
  focus: focusSchema,
  /** What of the matte lets the object through: where it is opaque, or where it is bright. */
  by: z.enum(["alpha", "brightness"]).default("alpha"),
  isInverted: z.boolean().default(false),
});

export const shadowsProperty = named(shadowsSchema.default([]), "Look", "Shadows");

export const drawn = {
  fill: named(fillSchema.default(NO_FILL), "Look", "Fill"),
  stroke: named(strokeSchema.nullable().default(null), "Look", "Outline"),
  shadows: shadowsProperty,
  /** Softens the whole object. */
  blurPx: named(measureSchema(0, 120).default(0), "Look", "Blur", "px"),
  /** Its edges fade out over this, inwards. */
  softEdgePx: named(measureSchema(0, 400).default(0), "Look", t`Soft edge`, "px"),
  /** A picture that says where the object is seen. */
  matte: named(matteSchema.nullable().default(null), "Look", "Matte"),
};

export const ALIGNS = ["start", "center", "end"] as const;
export type Align = (typeof ALIGNS)[number];
export const VERTICAL_ALIGNS = ["top", "middle", "bottom", "baseline"] as const;
export type VerticalAlign = (typeof VERTICAL_ALIGNS)[number];

/** What of a text moves as one. */
export const REVEALED_BY = ["whole", "line", "word", "character"] as const;
export type RevealedBy = (typeof REVEALED_BY)[number];

const letterSizeSchema = measureSchema(4, 2_000);
/** How letters are set, wherever there are letters. */
export const letters = {
  /** A typeface role of the house style. */
  font: named(z.string().max(40).default("words"), "Letters", "Typeface"),
  weight: named(z.enum(["regular", "bold"]).default("regular"), "Letters", "Weight"),
  italic: named(z.boolean().default(false), "Letters", "Italic"),
  minSizePx: named(letterSizeSchema, "Letters", t`Smallest size`, "px"),
  maxSizePx: named(letterSizeSchema, "Letters", "Size", "px"),
  trackingEm: named(measureSchema(-0.2, 2).default(0), "Letters", t`Letter spacing`, "em"),
  letterCase: named(z.enum(["asTyped", "upper", "lower", "title"]).default("asTyped"), "Letters", "Capitals"),
  align: named(z.enum(ALIGNS).default("center"), "Letters", "Alignment"),
};

export const leadingProperty = (usual: number) =>
  named(measureSchema(0.7, 3).default(usual), "Letters", t`Line spacing`, "×");
export const verticalAlignProperty = named(
  z.enum(VERTICAL_ALIGNS).default("middle"),
  "Letters",
  t`Vertical alignment`,
);
export const scaleModeProperty = named(z.enum(SCALE_MODES).default("fill"), "Look", t`In its box`);
export const levelProperty = named(measureSchema(0, 1).default(0), "Content", t`Sound level`);

const commonObjectSchema = z.strictObject(common);
/** What every object has, whatever its kind. */
export type CommonSpec = z.infer<typeof commonObjectSchema>;
export type CommonObject = Resolved<CommonSpec>;
const drawnSchema = z.strictObject(drawn);
export type Drawn = Resolved<z.infer<typeof drawnSchema>>;
const lettersSchema = z.strictObject(letters);
export type Letters = Resolved<z.infer<typeof lettersSchema>>;
