import { z } from "zod";
import { crawlSpeedSchema } from "../crawl/rate.ts";
import { nameSchema } from "../names/name.ts";
import { SCALE_MODES } from "../picture/place.ts";
import { colorRefSchema, numberRefSchema } from "./houseStyle.ts";
import { motionSchema } from "./motion.ts";
import { showWhenSchema } from "./showWhen.ts";

/**
 * The open template format: what a page looks like and how it moves, made once on a canvas of the output's
 * size. `readTemplate` reads one from outside; every stored template is parsed by this schema on its way in and out.
 */
const lengthPx = z.number().min(-20_000).max(20_000);
const fraction = z.number().min(0).max(1);
const fieldName = nameSchema(40);
const boxSchema = z.strictObject({
  x: lengthPx,
  y: lengthPx,
  /** Nothing of an object with an empty box is drawn. */
  width: z.number().min(0).max(20_000),
  height: z.number().min(0).max(20_000),
});
export type Box = z.infer<typeof boxSchema>;

const stopsSchema = z
  .array(z.strictObject({ at: fraction, color: colorRefSchema }))
  .min(2)
  .max(12);
const focusSchema = z.strictObject({ x: fraction, y: fraction });
const hash = z.string().regex(/^[0-9a-f]{64}$/);

const mediaSourceSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("field"), field: fieldName }),
  z.strictObject({ kind: z.literal("media"), hash }),
]);
export type MediaSource = z.infer<typeof mediaSourceSchema>;

const wordSourceSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("field"), field: fieldName }),
  z.strictObject({ kind: z.literal("fixed"), text: z.string().max(2_000) }),
]);
export type WordSource = z.infer<typeof wordSourceSchema>;

const fillSchema = z.discriminatedUnion("kind", [
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
    mode: z.enum(SCALE_MODES),
    focus: focusSchema,
  }),
]);
export type Fill = z.infer<typeof fillSchema>;

const strokeSchema = z.strictObject({ color: colorRefSchema, widthPx: numberRefSchema(0, 200) });
/** A shadow; a glow is one without an offset. */
const shadowSchema = z.strictObject({
  color: colorRefSchema,
  blurPx: z.number().min(0).max(200),
  offsetXPx: z.number().min(-200).max(200),
  offsetYPx: z.number().min(-200).max(200),
});

const common = {
  id: nameSchema(60),
  box: boxSchema,
  showWhen: showWhenSchema,
  motion: motionSchema,
  opacity: fraction,
  /** Clockwise, around the middle of the box. */
  rotationDeg: z.number().min(-360).max(360),
  /** When, from the start of its page, it can be seen. */
  timeWindow: z.strictObject({
    fromMs: z.number().min(0).max(3_600_000),
    untilMs: z.number().positive().max(3_600_000).nullable(),
  }),
};

const drawn = {
  fill: fillSchema,
  stroke: strokeSchema.nullable(),
  shadows: z.array(shadowSchema).max(3),
  /** Softens the whole object. */
  blurPx: z.number().min(0).max(120),
};

const radius = numberRefSchema(0, 10_000);
const cornersSchema = z.union([radius, z.tuple([radius, radius, radius, radius])]);
export type Corners = z.infer<typeof cornersSchema>;
const pointsSchema = z
  .array(z.strictObject({ x: z.number().min(-1).max(2), y: z.number().min(-1).max(2) }))
  .min(3)
  .max(64);

const rectangleSchema = z.strictObject({
  ...common,
  ...drawn,
  kind: z.literal("rectangle"),
  /** One for all corners, or top left, top right, bottom right, bottom left. */
  corners: cornersSchema,
});
const ellipseSchema = z.strictObject({ ...common, ...drawn, kind: z.literal("ellipse") });
const lineSchema = z.strictObject({
  ...common,
  ...drawn,
  kind: z.literal("line"),
  /** Which corner of the box it begins in; it ends in the opposite one. */
  from: z.enum(["topLeft", "bottomLeft"]),
  dashPx: z.array(z.number().positive().max(1_000)).max(8),
});
const polygonSchema = z.strictObject({
  ...common,
  ...drawn,
  kind: z.literal("polygon"),
  /** As fractions of the box. */
  points: pointsSchema,
});

/** How letters are set, wherever there are letters. */
const lettersSchema = {
  /** A typeface role of the house style. */
  font: z.string().max(40),
  weight: z.enum(["regular", "bold"]),
  italic: z.boolean(),
  minSizePx: z.number().min(4).max(2_000),
  maxSizePx: z.number().min(4).max(2_000),
  trackingEm: numberRefSchema(-0.2, 2),
  letterCase: z.enum(["asTyped", "upper", "lower", "title"]),
  align: z.enum(["start", "center", "end"]),
};

const textSchema = z.strictObject({
  ...common,
  ...drawn,
  ...lettersSchema,
  kind: z.literal("text"),
  words: wordSourceSchema,
  /** No smaller than this can it be read from the last row; division into steps respects it. */
  readableSizePx: z.number().min(4).max(2_000),
  leading: numberRefSchema(0.7, 3),
  verticalAlign: z.enum(["top", "middle", "bottom", "baseline"]),
  /**
   * fit: wraps and shrinks together, so that any amount stays inside. wrap: keeps its size. condense: keeps its size
   * and its lines and narrows the letters, to `condenseTo` at most. clip: keeps its size and is cut at the box.
   */
  mode: z.enum(["fit", "wrap", "condense", "clip"]),
  condenseTo: z.number().min(0.4).max(1),
  /** Keeps typed lines whole down to the readable size, and only then wraps them. */
  keepLines: z.boolean(),
  balance: z.boolean(),
  /** Reads our marks (see core/text/marks.ts). */
  marked: z.boolean(),
  /** A raised number at the head of a line stands in the margin. */
  hangNumbers: z.boolean(),
  /** What moves as one, one after another by the motion's stagger. */
  revealBy: z.enum(["whole", "line", "word", "character"]),
});
export type TextObject = z.infer<typeof textSchema>;

/** Points, one for each line of a field; those not yet shown keep their room. */
const listSchema = z.strictObject({
  ...common,
  ...drawn,
  ...lettersSchema,
  kind: z.literal("list"),
  words: wordSourceSchema,
  /** Field that says how many are shown; empty shows all. */
  shownField: fieldName.nullable(),
  marker: z.enum(["none", "bar", "dot", "number"]),
  markerColor: colorRefSchema,
  leading: numberRefSchema(0.7, 3),
  /** Between one point and the next, in line heights. */
  gap: z.number().min(0).max(4),
});
export type ListObject = z.infer<typeof listSchema>;

const pictureSchema = z.strictObject({
  ...common,
  ...drawn,
  kind: z.literal("picture"),
  source: mediaSourceSchema,
  mode: z.enum(SCALE_MODES),
  focus: focusSchema,
  corners: cornersSchema,
});

const videoSchema = z.strictObject({
  ...common,
  kind: z.literal("video"),
  source: mediaSourceSchema,
  mode: z.enum(SCALE_MODES),
  focus: focusSchema,
  corners: cornersSchema,
  /** What it does at its end. */
  atEnd: z.enum(["loop", "hold", "leave"]),
  /** 0 is silent. Heard on outputs that play sound. */
  level: fraction,
});

const crawlSchema = z.strictObject({
  ...common,
  ...drawn,
  ...lettersSchema,
  kind: z.literal("crawl"),
  /** One item for each line. */
  words: wordSourceSchema,
  /** Where it goes. Left and right are crawls, up and down are rolls. */
  towards: z.enum(["left", "right", "up", "down"]),
  speed: crawlSpeedSchema,
  /** Null: without end. */
  passes: z.number().int().min(1).max(1_000).nullable(),
  /** Between one pass and the next. */
  gapPx: z.number().min(0).max(20_000),
  /** Between items: room, and a mark in its middle. */
  itemGapPx: z.number().min(0).max(4_000),
  divider: z.discriminatedUnion("kind", [
    z.strictObject({ kind: z.literal("none") }),
    z.strictObject({ kind: z.literal("glyph"), text: z.string().min(1).max(8), color: colorRefSchema }),
    z.strictObject({
      kind: z.literal("picture"),
      source: mediaSourceSchema,
      sizePx: z.number().positive().max(400),
    }),
  ]),
  leading: numberRefSchema(0.7, 3),
});
export type CrawlObject = z.infer<typeof crawlSchema>;

const figuresSchema = z.strictObject({
  ...common,
  ...drawn,
  ...lettersSchema,
  kind: z.literal("figures"),
  shows: z.discriminatedUnion("kind", [
    z.strictObject({ kind: z.literal("clock"), format: z.enum(["hm", "hms", "hm12"]) }),
    z.strictObject({
      kind: z.literal("countdown"),
      field: fieldName,
      atZero: z.enum(["hold", "blank", "countUp"]),
    }),
    z.strictObject({ kind: z.literal("countUp") }),
    /** A number that counts up to its value. */
    z.strictObject({
      kind: z.literal("number"),
      field: fieldName,
      durationMs: z.number().min(0).max(20_000),
    }),
  ]),
  verticalAlign: z.enum(["top", "middle", "bottom", "baseline"]),
});
export type FiguresObject = z.infer<typeof figuresSchema>;

const rowsCommon = {
  ...common,
  ...lettersSchema,
  /** Rows, one for each line of the field; cells parted by tabs or "|". */
  field: fieldName,
  mostRows: z.number().int().min(1).max(60),
  rowHeightPx: z.number().positive().max(1_000),
  rowGapPx: z.number().min(0).max(400),
  fill: fillSchema,
  shadows: z.array(shadowSchema).max(3),
};

const tableSchema = z.strictObject({
  ...rowsCommon,
  kind: z.literal("table"),
  /** Shares of the width; the first is what a row is known by when it changes place. */
  columns: z
    .array(
      z.strictObject({ share: z.number().positive().max(100), align: z.enum(["start", "center", "end"]) }),
    )
    .min(1)
    .max(12),
  /** Numbers places from 1, standing still while rows move; width of that column, 0 for none. */
  rankWidthPx: z.number().min(0).max(1_000),
  rankColor: colorRefSchema,
  rowFill: fillSchema,
  firstRowFill: fillSchema,
  corners: cornersSchema,
  padPx: z.number().min(0).max(400),
});
export type TableObject = z.infer<typeof tableSchema>;

const barsSchema = z.strictObject({
  ...rowsCommon,
  kind: z.literal("bars"),
  /** Share of the width for labels; bars and values have the rest. */
  labelShare: fraction,
  valueWidthPx: z.number().min(0).max(2_000),
  barFill: fillSchema,
  trackFill: fillSchema,
  corners: cornersSchema,
  /** Null: the largest value fills the track. */
  fullAt: z.number().positive().nullable(),
  /** Sorts from the largest, so that rows change place as values grow. */
  sorted: z.boolean(),
  countMs: z.number().min(0).max(20_000),
});
export type BarsObject = z.infer<typeof barsSchema>;

/** The program picture, shrunk into a window. */
const programSchema = z.strictObject({
  ...common,
  kind: z.literal("program"),
  corners: cornersSchema,
  stroke: strokeSchema.nullable(),
  shadows: z.array(shadowSchema).max(3),
});

/** What this version cannot read: kept as it came, left out of the picture, named in a finding. */
const unreadableSchema = z.strictObject({
  kind: z.literal("unreadable"),
  id: nameSchema(60),
  why: z.string().max(400),
  was: z.unknown(),
});

const leafSchemas = [
  rectangleSchema,
  ellipseSchema,
  lineSchema,
  polygonSchema,
  textSchema,
  listSchema,
  pictureSchema,
  videoSchema,
  crawlSchema,
  figuresSchema,
  tableSchema,
  barsSchema,
  programSchema,
  unreadableSchema,
] as const;

export const BLENDS = ["normal", "multiply", "screen", "overlay", "lighten", "darken"] as const;
export type Blend = (typeof BLENDS)[number];

const groupCommon = {
  ...common,
  kind: z.literal("group"),
  blend: z.enum(BLENDS),
  clip: z.discriminatedUnion("kind", [
    z.strictObject({ kind: z.literal("none") }),
    z.strictObject({ kind: z.literal("box"), corners: cornersSchema }),
    z.strictObject({ kind: z.literal("ellipse") }),
    z.strictObject({ kind: z.literal("polygon"), points: pointsSchema }),
  ]),
};
const innerGroupSchema = z.strictObject({
  ...groupCommon,
  objects: z.array(z.discriminatedUnion("kind", [...leafSchemas])),
});
/** Groups hold objects and groups of objects. Boxes of members are on the canvas, not in the group. */
const groupSchema = z.strictObject({
  ...groupCommon,
  objects: z.array(z.discriminatedUnion("kind", [...leafSchemas, innerGroupSchema])),
});

export const sceneObjectSchema = z.discriminatedUnion("kind", [...leafSchemas, groupSchema]);
export type SceneObject = z.infer<typeof sceneObjectSchema>;
export type ReadableObject = Exclude<SceneObject, { kind: "unreadable" }>;

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
  /** From the back to the front. How many there may be is one of `TEMPLATE_LIMITS`. */
  objects: z.array(sceneObjectSchema),
});
export type Template = z.infer<typeof templateSchema>;

/** Every object, members of groups included, with the group it lies in. */
export function allObjects(
  template: Template,
): { readonly object: ReadableObject; readonly parentId: string | null }[] {
  const found: { object: ReadableObject; parentId: string | null }[] = [];
  const walk = (objects: readonly SceneObject[], parentId: string | null) => {
    for (const object of objects) {
      if (object.kind === "unreadable") continue;
      found.push({ object, parentId });
      if (object.kind === "group") walk(object.objects, object.id);
    }
  };
  walk(template.objects, null);
  return found;
}

/** The text object that shows a field, for what must know its box; the first when there are several. */
export function findTextOf(template: Template, field: string): TextObject | undefined {
  for (const { object } of allObjects(template))
    if (object.kind === "text" && object.words.kind === "field" && object.words.field === field)
      return object;
  return undefined;
}
