import { t } from "../../language/t.ts";
import { kindOf, type LeafKindName, type LeafSpec, OBJECT_KINDS } from "../../scene/objectKinds.ts";
import { shapeOf, startOf } from "../../scene/schemaShape.ts";
import type { Template } from "../../scene/template.ts";
import { freeId } from "./objects.ts";

const solid = (token: string) => ({ kind: "solid", color: { token } });

/** What a new object of a kind is besides the plainest: so that it is seen, in the colours of the house. */
const LOOKS: Readonly<Record<LeafKindName, Readonly<Record<string, unknown>>>> = {
  rectangle: { fill: solid("panel") },
  ellipse: { fill: solid("accent") },
  line: { stroke: { color: { token: "accent" }, widthPx: 6 } },
  polygon: {
    fill: solid("accent"),
    points: [
      { x: 0.5, y: 0 },
      { x: 1, y: 1 },
      { x: 0, y: 1 },
    ],
  },
  path: { fill: solid("accent"), path: "M0 50 C20 0 80 0 100 50 C80 100 20 100 0 50 Z" },
  text: { words: { kind: "fixed", text: t`Words` }, fill: solid("words"), minSizePx: 24, maxSizePx: 72 },
  list: {
    words: { kind: "fixed", text: "First\nSecond\nThird" },
    fill: solid("words"),
    markerColor: { token: "accent" },
    minSizePx: 20,
    maxSizePx: 48,
  },
  picture: { fill: solid("quiet") },
  video: {},
  sound: {},
  crawl: {
    words: { kind: "fixed", text: "What goes by\nand goes on" },
    fill: solid("words"),
    minSizePx: 24,
    maxSizePx: 40,
  },
  figures: { fill: solid("words"), minSizePx: 24, maxSizePx: 96 },
  gauge: {},
  table: { fill: solid("words"), minSizePx: 18, maxSizePx: 36 },
  bars: { fill: solid("words"), barFill: solid("accent"), minSizePx: 18, maxSizePx: 32 },
  chart: {},
  program: {},
};

/** What of the library a kind shows; kinds that show rows. */
const MEDIA: Partial<Readonly<Record<LeafKindName, string>>> = {
  picture: "picture",
  video: "video",
  sound: "sound",
};
const ROWS: ReadonlySet<LeafKindName> = new Set(["table", "bars", "chart"]);

/** Shares of the canvas that a new object takes. */
const SIZES: Partial<Readonly<Record<LeafKindName, readonly [width: number, height: number]>>> = {
  text: [0.4, 0.12],
  crawl: [1, 0.08],
  line: [0.4, 0.01],
  figures: [0.3, 0.14],
  ellipse: [0.15, 0.27],
  polygon: [0.15, 0.27],
  path: [0.15, 0.27],
  sound: [0.04, 0.07],
};

/** A new object of a kind in the middle of the canvas, with an id that is free. */
export function newObject(
  template: Template,
  kind: LeafKindName,
  fields: readonly { readonly name: string; readonly media: string | null; readonly isRows: boolean }[] = [],
): LeafSpec {
  const { schema, name } = kindOf({ kind });
  const { widthPx, heightPx } = template.canvas;
  const [w, h] = SIZES[kind] ?? [0.32, 0.3];
  const width = Math.round(widthPx * w);
  const height = Math.round(heightPx * h);
  // A field of the kind that it shows, where there is one; else one that is still to be made.
  const media = MEDIA[kind];
  const field =
    fields.find((each) => (media ? each.media === media : ROWS.has(kind) ? each.isRows : each.media === null))
      ?.name ??
    media ??
    (ROWS.has(kind) ? "rows" : "words");
  const start = startOf(shapeOf(OBJECT_KINDS[kind].schema), { field }) as Record<string, unknown>;
  return schema.parse({
    ...start,
    ...LOOKS[kind],
    kind,
    id: freeId(template, name),
    box: {
      x: Math.round((widthPx - width) / 2),
      y: Math.round((heightPx - height) / 2),
      width,
      height,
    },
  }) as unknown as LeafSpec;
}
