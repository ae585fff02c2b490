import { z } from "zod";
import type { Resolved } from "../names/measure.ts";
import { barsKind } from "./kinds/bars.ts";
import { chartKind } from "./kinds/chart.ts";
import { crawlKind } from "./kinds/crawl.ts";
import { ellipseKind } from "./kinds/ellipse.ts";
import { figuresKind } from "./kinds/figures.ts";
import { gaugeKind } from "./kinds/gauge.ts";
import { groupShape } from "./kinds/group.ts";
import { lineKind } from "./kinds/line.ts";
import { listKind } from "./kinds/list.ts";
import type { ObjectKind } from "./kinds/objectKind.ts";
import { pathKind } from "./kinds/path.ts";
import { pictureKind } from "./kinds/picture.ts";
import { polygonKind } from "./kinds/polygon.ts";
import { programKind } from "./kinds/program.ts";
import { rectangleKind } from "./kinds/rectangle.ts";
import { soundKind } from "./kinds/sound.ts";
import { tableKind } from "./kinds/table.ts";
import { textKind } from "./kinds/text.ts";
import { videoKind } from "./kinds/video.ts";
import { objectIdSchema } from "./properties.ts";

/** Every kind of object that is drawn by itself. Another is a file in `kinds/` and a line here. */
export const OBJECT_KINDS = {
  rectangle: rectangleKind,
  ellipse: ellipseKind,
  line: lineKind,
  polygon: polygonKind,
  path: pathKind,
  text: textKind,
  list: listKind,
  picture: pictureKind,
  video: videoKind,
  sound: soundKind,
  crawl: crawlKind,
  figures: figuresKind,
  gauge: gaugeKind,
  table: tableKind,
  bars: barsKind,
  chart: chartKind,
  program: programKind,
} as const;
export type LeafKindName = keyof typeof OBJECT_KINDS;

const leafSchemas = [
  rectangleKind.schema,
  ellipseKind.schema,
  lineKind.schema,
  polygonKind.schema,
  pathKind.schema,
  textKind.schema,
  listKind.schema,
  pictureKind.schema,
  videoKind.schema,
  soundKind.schema,
  crawlKind.schema,
  figuresKind.schema,
  gaugeKind.schema,
  tableKind.schema,
  barsKind.schema,
  chartKind.schema,
  programKind.schema,
] as const;

/** What this version cannot read: kept as it came, left out of the picture, named in a finding. */
const unreadableSchema = z.strictObject({
  kind: z.literal("unreadable"),
  id: objectIdSchema,
  why: z.string().max(400),
  was: z.unknown(),
});

const innerGroupSchema = z.strictObject({
  ...groupShape,
  objects: z.array(z.discriminatedUnion("kind", [...leafSchemas, unreadableSchema])),
});
/** Groups hold objects and groups of objects. */
const groupSchema = z.strictObject({
  ...groupShape,
  objects: z.array(z.discriminatedUnion("kind", [...leafSchemas, unreadableSchema, innerGroupSchema])),
});

export const sceneObjectSchema = z.discriminatedUnion("kind", [
  ...leafSchemas,
  unreadableSchema,
  groupSchema,
]);
export type SceneObject = z.infer<typeof sceneObjectSchema>;
export type ReadableObject = Exclude<SceneObject, { kind: "unreadable" }>;
export type GroupSpec = Extract<SceneObject, { kind: "group" }>;
export type LeafSpec = Exclude<ReadableObject, { kind: "group" }>;
export type LeafObject = Resolved<LeafSpec>;
export { groupSchema };

/** A kind, for whoever treats objects of all kinds alike. */
export const kindOf = ({ kind }: { readonly kind: LeafKindName }): ObjectKind<typeof rectangleKind.schema> =>
  OBJECT_KINDS[kind] as unknown as ObjectKind<typeof rectangleKind.schema>;
