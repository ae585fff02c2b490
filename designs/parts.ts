import type { z } from "zod";
import type { FiguresShows } from "../core/scene/figuresValue.ts";
import type { ColorRef } from "../core/scene/houseStyle.ts";
import {
  type GroupSpec,
  groupSchema,
  type LeafKindName,
  type LeafSpec,
  OBJECT_KINDS,
  type SceneObject,
} from "../core/scene/objectKinds.ts";
import type { Box, FillSpec } from "../core/scene/properties.ts";
import { type Template, templateSchema } from "../core/scene/template.ts";
import { fading } from "./moves.ts";

/** Shorthands for writing templates: what is not said is none, always shown, still. */
export const box = (x: number, y: number, width: number, height: number): Box => ({ x, y, width, height });
export const color = (token: string, alpha?: number): ColorRef =>
  alpha === undefined ? { token } : { token, alpha };
export const solid = (token: string, alpha?: number): FillSpec => ({
  kind: "solid",
  color: color(token, alpha),
});

/** Stops as [at, token, alpha]. */
type Stop = readonly [at: number, token: string, alpha?: number];
const stops = (list: readonly Stop[]) =>
  list.map(([at, token, alpha]) => ({ at, color: color(token, alpha) }));
export const linear = (angleDeg: number, ...list: Stop[]): FillSpec => ({
  kind: "linear",
  angleDeg,
  stops: stops(list),
});
export const radial = (x: number, y: number, radius: number, ...list: Stop[]): FillSpec => ({
  kind: "radial",
  center: { x, y },
  radius,
  stops: stops(list),
});

type Frozen<T> = T extends object ? { readonly [K in keyof T]: Frozen<T[K]> } : T;
/** What is written of an object of a kind. */
type Input<K extends LeafKindName> = Frozen<z.input<(typeof OBJECT_KINDS)[K]["schema"]>>;
type GroupInput = Frozen<z.input<typeof groupSchema>>;
type Kind<K extends LeafKindName> = Extract<LeafSpec, { kind: K }>;
type More<K extends LeafKindName, Given extends string = never> = Partial<
  Omit<Input<K>, "kind" | "id" | "box" | Given>
>;

/** An object of a kind: what is not said is as usual. */
export const make = <K extends LeafKindName>(kind: K, object: Omit<Input<K>, "kind">): Kind<K> =>
  OBJECT_KINDS[kind].schema.parse({ kind, ...object }) as unknown as Kind<K>;

export const rectangle = (id: string, at: Box, fill: FillSpec, more: More<"rectangle", "fill"> = {}) =>
  make("rectangle", { id, box: at, fill, ...more });
export const ellipse = (id: string, at: Box, fill: FillSpec, more: More<"ellipse", "fill"> = {}) =>
  make("ellipse", { id, box: at, fill, ...more });
export const polygon = (
  id: string,
  at: Box,
  points: readonly (readonly [number, number])[],
  fill: FillSpec,
  more: More<"polygon", "fill" | "points"> = {},
) => make("polygon", { id, box: at, fill, points: points.map(([x, y]) => ({ x, y })), ...more });
export const picture = (id: string, field: string, at: Box, more: More<"picture", "source"> = {}) =>
  make("picture", { id, box: at, source: { kind: "field", field }, ...more });
export const video = (id: string, field: string, at: Box, more: More<"video", "source"> = {}) =>
  make("video", { id, box: at, source: { kind: "field", field }, ...more });
export const program = (id: string, at: Box, more: More<"program"> = {}) =>
  make("program", { id, box: at, ...more });
export const group = (
  id: string,
  at: Box,
  objects: GroupInput["objects"],
  more: Partial<Omit<GroupInput, "kind" | "id" | "box" | "objects">> = {},
): GroupSpec => groupSchema.parse({ kind: "group", id, box: at, objects, ...more });

/** Smallest, largest and readable size of letters. */
interface Sizes {
  readonly min: number;
  readonly max: number;
  readonly readable?: number;
}
const letters = ({ min, max }: Sizes) => ({ minSizePx: min, maxSizePx: max });

/** Shows a field, or with a leading "=" fixed words; hidden while its field is empty. */
export function text(
  id: string,
  field: string,
  at: Box,
  sizes: Sizes,
  more: More<"text"> = {},
): Kind<"text"> {
  const isFixed = field.startsWith("=");
  return make("text", {
    ...letters(sizes),
    id,
    box: at,
    fill: solid("words"),
    words: isFixed ? { kind: "fixed", text: field.slice(1) } : { kind: "field", field },
    readableSizePx: sizes.readable ?? sizes.min,
    showWhen: isFixed ? { kind: "always" } : { kind: "notEmpty", field },
    ...more,
  });
}

export const list = (id: string, field: string, at: Box, sizes: Sizes, more: More<"list", "words"> = {}) =>
  make("list", {
    ...letters(sizes),
    id,
    box: at,
    fill: solid("words"),
    words: { kind: "field", field },
    shownField: "shown",
    align: "start",
    markerColor: color("accent"),
    ...more,
  });

export const figures = (
  id: string,
  shows: FiguresShows,
  at: Box,
  sizes: Sizes,
  more: More<"figures", "shows"> = {},
) =>
  make("figures", { ...letters(sizes), id, box: at, fill: solid("words"), shows, font: "figures", ...more });

export const gauge = (
  id: string,
  shows: FiguresShows,
  at: Box,
  more: More<"gauge", "shows" | "form"> & Pick<Input<"gauge">, "form">,
) => make("gauge", { id, box: at, shows, fill: solid("accent"), track: solid("words", 0.14), ...more });

export const crawl = (
  id: string,
  field: string,
  at: Box,
  sizePx: number,
  more: More<"crawl", "words"> = {},
) =>
  make("crawl", {
    ...letters({ min: sizePx, max: sizePx }),
    id,
    box: at,
    fill: solid("onPanel"),
    font: "plain",
    words: { kind: "field", field },
    speed: { kind: "pxPerFrame", px: 3 },
    itemGapPx: 110,
    divider: { kind: "glyph", text: "•", color: color("panelAccent") },
    align: "start",
    motion: fading(300),
    ...more,
  });

type Column = NonNullable<Input<"table">["columns"]>[number];
export const table = (
  id: string,
  field: string,
  at: Box,
  columns: readonly (readonly [
    share: number | null,
    align: "start" | "center" | "end",
    more?: Partial<Column>,
  ])[],
  sizes: Sizes,
  more: More<"table", "field" | "columns"> = {},
) =>
  make("table", {
    ...letters(sizes),
    id,
    box: at,
    fill: solid("words"),
    font: "plain",
    field,
    align: "start",
    columns: columns.map(([share, align, own]) => ({ share, align, ...own })),
    rowHeightPx: 84,
    rowGapPx: 10,
    rankWidthPx: 84,
    rankColor: color("panelAccent"),
    rowFill: solid("panel", 0.82),
    corners: { measure: "radius", times: 0.5 },
    padPx: 32,
    ...more,
  });

export const bars = (id: string, field: string, at: Box, sizes: Sizes, more: More<"bars", "field"> = {}) =>
  make("bars", {
    ...letters(sizes),
    id,
    box: at,
    fill: solid("words"),
    font: "plain",
    field,
    align: "end",
    mostRows: 12,
    rowHeightPx: 84,
    rowGapPx: 26,
    valueWidthPx: 220,
    barFill: solid("accent"),
    trackFill: solid("words", 0.12),
    corners: { measure: "radius", times: 0.5 },
    sorted: true,
    countMs: 1_400,
    ...more,
  });

type Shadows = NonNullable<Input<"rectangle">["shadows"]>;
/** White words stay readable on anything bright behind them. */
export const SOFT_SHADOW: Shadows = [{ color: color("shade", 0.75), blurPx: 22, offsetYPx: 4 }];
export const PANEL_SHADOW: Shadows = [{ color: color("shade", 0.5), blurPx: 28, offsetYPx: 8 }];
export const glow = (token: string, blurPx: number, alpha = 0.9): Shadows => [
  { color: color(token, alpha), blurPx },
];

/** Makes templates of one canvas size. */
export const onCanvas =
  (widthPx: number, heightPx: number) =>
  (name: string, fieldSet: string, objects: SceneObject[]): Template =>
    templateSchema.parse({
      kind: "template",
      format: 2,
      id: `${fieldSet}-${name.toLowerCase().replace(/[^a-z0-9]+/g, "-")}`,
      name,
      fieldSet,
      canvas: { widthPx, heightPx },
      objects,
    });
