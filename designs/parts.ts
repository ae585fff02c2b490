import type { ColorRef } from "../core/scene/houseStyle.ts";
import { STILL } from "../core/scene/motion.ts";
import type {
  BarsObject,
  Box,
  CrawlObject,
  FiguresObject,
  Fill,
  ListObject,
  ReadableObject,
  SceneObject,
  TableObject,
  Template,
  TextObject,
} from "../core/scene/template.ts";
import { fading } from "./moves.ts";

/** Shorthands for writing templates: what is not said is none, always shown, still. */
export const box = (x: number, y: number, width: number, height: number): Box => ({ x, y, width, height });
export const color = (token: string, alpha?: number): ColorRef =>
  alpha === undefined ? { token } : { token, alpha };
export const solid = (token: string, alpha?: number): Fill => ({ kind: "solid", color: color(token, alpha) });
export const NONE: Fill = { kind: "none" };

/** Stops as [at, token, alpha]. */
type Stop = readonly [at: number, token: string, alpha?: number];
const stops = (list: readonly Stop[]) =>
  list.map(([at, token, alpha]) => ({ at, color: color(token, alpha) }));
export const linear = (angleDeg: number, ...list: Stop[]): Fill => ({
  kind: "linear",
  angleDeg,
  stops: stops(list),
});
export const radial = (x: number, y: number, radius: number, ...list: Stop[]): Fill => ({
  kind: "radial",
  center: { x, y },
  radius,
  stops: stops(list),
});

type Kind<K extends ReadableObject["kind"]> = Extract<ReadableObject, { kind: K }>;
type More<T, Given extends keyof T> = Partial<Omit<T, "kind" | "id" | "box" | Given>>;

const common = {
  showWhen: { kind: "always" },
  motion: STILL,
  opacity: 1,
  rotationDeg: 0,
  timeWindow: { fromMs: 0, untilMs: null },
} as const;
const drawn = { stroke: null, shadows: [], blurPx: 0 };

export function rectangle(
  id: string,
  at: Box,
  fill: Fill,
  more: More<Kind<"rectangle">, "fill"> = {},
): Kind<"rectangle"> {
  return { ...common, ...drawn, kind: "rectangle", id, box: at, fill, corners: 0, ...more };
}
export function ellipse(
  id: string,
  at: Box,
  fill: Fill,
  more: More<Kind<"ellipse">, "fill"> = {},
): Kind<"ellipse"> {
  return { ...common, ...drawn, kind: "ellipse", id, box: at, fill, ...more };
}
export function polygon(
  id: string,
  at: Box,
  points: readonly (readonly [number, number])[],
  fill: Fill,
  more: More<Kind<"polygon">, "fill" | "points"> = {},
): Kind<"polygon"> {
  return {
    ...common,
    ...drawn,
    kind: "polygon",
    id,
    box: at,
    fill,
    points: points.map(([x, y]) => ({ x, y })),
    ...more,
  };
}
export function picture(
  id: string,
  field: string,
  at: Box,
  more: More<Kind<"picture">, "source"> = {},
): Kind<"picture"> {
  return {
    ...common,
    ...drawn,
    kind: "picture",
    id,
    box: at,
    fill: NONE,
    source: { kind: "field", field },
    mode: "fill",
    focus: { x: 0.5, y: 0.5 },
    corners: 0,
    ...more,
  };
}
export function video(
  id: string,
  field: string,
  at: Box,
  more: More<Kind<"video">, "source"> = {},
): Kind<"video"> {
  return {
    ...common,
    kind: "video",
    id,
    box: at,
    source: { kind: "field", field },
    mode: "fill",
    focus: { x: 0.5, y: 0.5 },
    corners: 0,
    atEnd: "loop",
    level: 0,
    ...more,
  };
}
export function program(id: string, at: Box, more: More<Kind<"program">, never> = {}): Kind<"program"> {
  return { ...common, kind: "program", id, box: at, corners: 0, stroke: null, shadows: [], ...more };
}
export function group(
  id: string,
  at: Box,
  objects: Kind<"group">["objects"],
  more: More<Kind<"group">, "objects"> = {},
): Kind<"group"> {
  return { ...common, kind: "group", id, box: at, objects, blend: "normal", clip: { kind: "none" }, ...more };
}

/** Smallest, largest and readable size of letters. */
interface Sizes {
  readonly min: number;
  readonly max: number;
  readonly readable?: number;
}

const letters = (sizes: Sizes) => ({
  font: "words",
  weight: "regular" as const,
  italic: false,
  minSizePx: sizes.min,
  maxSizePx: sizes.max,
  trackingEm: 0,
  letterCase: "asTyped" as const,
});

/** Shows a field, or with a leading "=" fixed words; hidden while its field is empty. */
export function text(
  id: string,
  field: string,
  at: Box,
  sizes: Sizes,
  more: More<TextObject, "words"> = {},
): TextObject {
  const isFixed = field.startsWith("=");
  return {
    ...common,
    ...drawn,
    ...letters(sizes),
    kind: "text",
    id,
    box: at,
    fill: solid("words"),
    words: isFixed ? { kind: "fixed", text: field.slice(1) } : { kind: "field", field },
    readableSizePx: sizes.readable ?? sizes.min,
    leading: 1.28,
    align: "center",
    verticalAlign: "middle",
    mode: "fit",
    condenseTo: 0.7,
    keepLines: false,
    balance: true,
    marked: true,
    hangNumbers: false,
    revealBy: "whole",
    showWhen: isFixed ? { kind: "always" } : { kind: "notEmpty", field },
    ...more,
  };
}

export function list(
  id: string,
  field: string,
  at: Box,
  sizes: Sizes,
  more: More<ListObject, "words"> = {},
): ListObject {
  return {
    ...common,
    ...drawn,
    ...letters(sizes),
    kind: "list",
    id,
    box: at,
    fill: solid("words"),
    words: { kind: "field", field },
    shownField: "shown",
    align: "start",
    marker: "bar",
    markerColor: color("accent"),
    leading: 1.2,
    gap: 0.5,
    ...more,
  };
}

export function figures(
  id: string,
  shows: FiguresObject["shows"],
  at: Box,
  sizes: Sizes,
  more: More<FiguresObject, "shows"> = {},
): FiguresObject {
  return {
    ...common,
    ...drawn,
    ...letters(sizes),
    kind: "figures",
    id,
    box: at,
    fill: solid("words"),
    shows,
    font: "figures",
    align: "center",
    verticalAlign: "middle",
    ...more,
  };
}

export function crawl(
  id: string,
  field: string,
  at: Box,
  sizePx: number,
  more: More<CrawlObject, "words"> = {},
): CrawlObject {
  return {
    ...common,
    ...drawn,
    ...letters({ min: sizePx, max: sizePx }),
    kind: "crawl",
    id,
    box: at,
    fill: solid("onPanel"),
    font: "plain",
    words: { kind: "field", field },
    towards: "left",
    speed: { kind: "pxPerFrame", px: 3 },
    passes: null,
    gapPx: 240,
    itemGapPx: 110,
    divider: { kind: "glyph", text: "•", color: color("panelAccent") },
    leading: 1.4,
    align: "start",
    motion: fading(300),
    ...more,
  };
}

export function table(
  id: string,
  field: string,
  at: Box,
  columns: readonly (readonly [share: number, align: "start" | "center" | "end"])[],
  sizes: Sizes,
  more: More<TableObject, "field" | "columns"> = {},
): TableObject {
  return {
    ...common,
    ...letters(sizes),
    kind: "table",
    id,
    box: at,
    fill: solid("words"),
    shadows: [],
    font: "plain",
    field,
    align: "start",
    columns: columns.map(([share, align]) => ({ share, align })),
    mostRows: 20,
    rowHeightPx: 84,
    rowGapPx: 10,
    rankWidthPx: 84,
    rankColor: color("panelAccent"),
    rowFill: solid("panel", 0.82),
    firstRowFill: NONE,
    corners: { token: "radius", times: 0.5 },
    padPx: 32,
    ...more,
  };
}

export function bars(
  id: string,
  field: string,
  at: Box,
  sizes: Sizes,
  more: More<BarsObject, "field"> = {},
): BarsObject {
  return {
    ...common,
    ...letters(sizes),
    kind: "bars",
    id,
    box: at,
    fill: solid("words"),
    shadows: [],
    font: "plain",
    field,
    align: "end",
    mostRows: 12,
    rowHeightPx: 84,
    rowGapPx: 26,
    labelShare: 0.3,
    valueWidthPx: 220,
    barFill: solid("accent"),
    trackFill: solid("words", 0.12),
    corners: { token: "radius", times: 0.5 },
    fullAt: null,
    sorted: true,
    countMs: 1_400,
    ...more,
  };
}

/** White words stay readable on anything bright behind them. */
export const SOFT_SHADOW: TextObject["shadows"] = [
  { color: color("shade", 0.75), blurPx: 22, offsetXPx: 0, offsetYPx: 4 },
];
export const PANEL_SHADOW: TextObject["shadows"] = [
  { color: color("shade", 0.5), blurPx: 28, offsetXPx: 0, offsetYPx: 8 },
];
export const glow = (token: string, blurPx: number, alpha = 0.9): TextObject["shadows"] => [
  { color: color(token, alpha), blurPx, offsetXPx: 0, offsetYPx: 0 },
];

/** Makes templates of one canvas size. */
export const onCanvas =
  (widthPx: number, heightPx: number) =>
  (name: string, fieldSet: string, objects: SceneObject[]): Template => ({
    kind: "template",
    format: 1,
    name,
    fieldSet,
    canvas: { widthPx, heightPx },
    objects,
  });
