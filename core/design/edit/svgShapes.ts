import { formatHex8, parse } from "culori";
import svgpath from "svgpath";
import { t } from "../../language/t.ts";
import { cleanPath, pathBounds } from "../../picture/pathData.ts";
import { pathKind } from "../../scene/kinds/path.ts";
import { groupSchema } from "../../scene/objectKinds.ts";
import { allObjects, type Template } from "../../scene/template.ts";
import { TEMPLATE_LIMITS } from "../../scene/templateLimits.ts";
import type { Rect } from "./objects.ts";
import { freeId } from "./objects.ts";

/** An element of an SVG file, as whoever parsed it hands it on. */
export interface SvgNode {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly SvgNode[];
  /** Its own text; rules of style sheets are read from it. */
  readonly text: string;
}

/** A filled or stroked outline in the units of the drawing. */
export interface SvgShape {
  readonly name: string;
  readonly path: string;
  /** #rrggbbaa */
  readonly fill: string | null;
  readonly stroke: string | null;
  readonly strokeWidth: number;
}

export interface SvgDrawing {
  readonly shapes: readonly SvgShape[];
  readonly bounds: Rect;
  /** What no shape can say, in words. */
  readonly leftOut: readonly string[];
}

const DEEPEST = 60;
/** Elements whose content is drawn only where something names it. */
const NOT_DRAWN = new Set([
  "defs",
  "clippath",
  "mask",
  "symbol",
  "marker",
  "pattern",
  "lineargradient",
  "radialgradient",
  "title",
  "desc",
  "metadata",
  "style",
  "script",
  "filter",
]);
const NOT_SHAPES: Readonly<Record<string, string>> = {
  text: "words",
  image: "pictures",
  use: t`copies of other parts`,
  foreignobject: t`embedded pages`,
};

type Said = Readonly<Record<string, string>>;

/** The shapes of an SVG drawing (SVG 2), with their transforms worked in. @returns a sentence where there are none */
export function svgShapes(root: SvgNode): SvgDrawing | { readonly problem: string } {
  const sheet = rulesOf(root);
  const colors = gradientColors(root);
  const shapes: SvgShape[] = [];
  const missing = new Map<string, number>();
  const miss = (what: string) => {
    missing.set(what, (missing.get(what) ?? 0) + 1);
  };
  const walk = (node: SvgNode, inherited: Said, matrix: string, depth: number): void => {
    const name = node.name.toLowerCase();
    if (depth > DEEPEST || NOT_DRAWN.has(name)) return;
    const what = NOT_SHAPES[name];
    if (what !== undefined) {
      miss(what);
      return;
    }
    const said: Said = { ...inherited, ...saidBy(node, sheet) };
    if (said.display === "none" || said.visibility === "hidden") return;
    const transform = [matrix, node.attributes.transform ?? ""].join(" ").trim();
    const outline = outlineOf(name, node.attributes);
    if (outline !== undefined) {
      const shape = shapeOf(node, outline, said, transform, colors, miss);
      if (shape) shapes.push(shape);
    }
    for (const child of node.children) walk(child, said, transform, depth + 1);
  };
  walk(root, {}, "", 0);
  const boxes = shapes.flatMap(({ path }) => pathBounds(path) ?? []);
  const [first] = boxes;
  if (!first)
    return {
      problem: t`No shapes were found in the drawing. Bring it in as a picture; nothing was changed.`,
    };
  const bounds = boxes.reduce((all, box) => {
    const [x, y] = [Math.min(all.x, box.x), Math.min(all.y, box.y)];
    return {
      x,
      y,
      width: Math.max(all.x + all.width, box.x + box.width) - x,
      height: Math.max(all.y + all.height, box.y + box.height) - y,
    };
  }, first);
  return {
    shapes,
    bounds,
    leftOut: [...missing].map(([what, count]) => (count > 1 ? t`${what} (${count} times)` : what)),
  };
}

const number = (text: string | undefined): number => Number.parseFloat(text ?? "") || 0;

/** Path data of a basic shape (SVG 2, chapter 10); undefined: it is none. */
function outlineOf(name: string, a: Said): string | undefined {
  const ellipse = (cx: number, cy: number, rx: number, ry: number) =>
    rx > 0 && ry > 0
      ? `M${cx - rx} ${cy}A${rx} ${ry} 0 1 1 ${cx + rx} ${cy}A${rx} ${ry} 0 1 1 ${cx - rx} ${cy}Z`
      : "";
  switch (name) {
    case "path":
      return a.d ?? "";
    case "circle":
      return ellipse(number(a.cx), number(a.cy), number(a.r), number(a.r));
    case "ellipse":
      return ellipse(number(a.cx), number(a.cy), number(a.rx), number(a.ry));
    case "line":
      return `M${number(a.x1)} ${number(a.y1)}L${number(a.x2)} ${number(a.y2)}`;
    case "polyline":
    case "polygon": {
      const points = (a.points ?? "").match(/-?[\d.]+(?:e-?\d+)?/gi) ?? [];
      if (points.length < 4) return "";
      const pairs = Array.from(
        { length: points.length >> 1 },
        (_, i) => `${points[i * 2]} ${points[i * 2 + 1]}`,
      );
      return `M${pairs.join("L")}${name === "polygon" ? "Z" : ""}`;
    }
    case "rect": {
      const [x, y, w, h] = [number(a.x), number(a.y), number(a.width), number(a.height)];
      if (w <= 0 || h <= 0) return "";
      const rx = Math.min(number(a.rx ?? a.ry), w / 2);
      const ry = Math.min(number(a.ry ?? a.rx), h / 2);
      if (rx <= 0 || ry <= 0) return `M${x} ${y}h${w}v${h}h${-w}Z`;
      const arc = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
      return `M${x + rx} ${y}h${w - 2 * rx}${arc(rx, ry)}v${h - 2 * ry}${arc(-rx, ry)}h${2 * rx - w}${arc(-rx, -ry)}v${2 * ry - h}${arc(rx, -ry)}Z`;
    }
    default:
      return undefined;
  }
}

function shapeOf(
  node: SvgNode,
  outline: string,
  said: Said,
  transform: string,
  gradients: ReadonlyMap<string, string>,
  miss: (what: string) => void,
): SvgShape | undefined {
  if (outline === "") return undefined;
  const plain = cleanPath(outline);
  const clean = "problem" in plain ? plain : cleanPath(svgpath(plain.data).transform(transform).toString());
  if ("problem" in clean) {
    miss(t`paths that cannot be read`);
    return undefined;
  }
  const paint = (text: string | undefined, usual: string | null, opacity: string | undefined) => {
    const wanted = (text ?? "").trim();
    const named = /^url\(["']?#([^)"']+)/.exec(wanted)?.[1];
    if (named !== undefined) miss(t`colour runs, of which the first colour is taken`);
    const value = named === undefined ? wanted : gradients.get(named);
    return colorOf(value || usual, number(opacity ?? "1") * number(said.opacity ?? "1"));
  };
  const fill = paint(said.fill, "#000000", said["fill-opacity"]);
  const stroke = paint(said.stroke, null, said["stroke-opacity"]);
  if (fill === null && stroke === null) return undefined;
  return {
    name: (node.attributes.id ?? node.name).slice(0, 40),
    path: clean.data,
    fill,
    stroke,
    strokeWidth: said["stroke-width"] === undefined ? 1 : number(said["stroke-width"]),
  };
}

/** A colour as it is written in CSS. @returns #rrggbbaa; null: none, or not to be seen */
function colorOf(text: string | null, opacity: number): string | null {
  if (text === null || text === "none" || text === "transparent") return null;
  const color = parse(text === "currentColor" ? "#000000" : text);
  if (!color) return formatHex8({ mode: "rgb", r: 0, g: 0, b: 0, alpha: opacity });
  const alpha = (color.alpha ?? 1) * opacity;
  return alpha <= 0 ? null : formatHex8({ ...color, alpha });
}

const PAINTED = [
  "fill",
  "stroke",
  "stroke-width",
  "fill-opacity",
  "stroke-opacity",
  "opacity",
  "display",
  "visibility",
];

/** What an element says of its paint: by attributes, by rules of the style sheet, by its own style. */
function saidBy({ attributes }: SvgNode, sheet: ReadonlyMap<string, Said>): Said {
  const said: Record<string, string> = {};
  for (const name of PAINTED) if (attributes[name] !== undefined) said[name] = attributes[name];
  for (const name of (attributes.class ?? "").split(/\s+/)) Object.assign(said, sheet.get(`.${name}`));
  if (attributes.id) Object.assign(said, sheet.get(`#${attributes.id}`));
  return { ...said, ...declarations(attributes.style ?? "") };
}

const declarations = (text: string): Said =>
  Object.fromEntries(
    text.split(";").flatMap((part) => {
      const colon = part.indexOf(":");
      const name = part.slice(0, colon).trim().toLowerCase();
      return colon > 0 && PAINTED.includes(name) ? [[name, part.slice(colon + 1).trim()]] : [];
    }),
  );

/** Rules for classes and ids of the style sheets within: `.a, #b { fill: … }`. */
function rulesOf(root: SvgNode): ReadonlyMap<string, Said> {
  const rules = new Map<string, Said>();
  for (const { name, text } of descendants(root)) {
    if (name.toLowerCase() !== "style") continue;
    for (const [, selectors = "", body = ""] of text.matchAll(/([^{}]+)\{([^{}]*)\}/g))
      for (const selector of selectors.split(",").map((each) => each.trim()))
        if (/^[.#][\w-]+$/.test(selector))
          rules.set(selector, { ...rules.get(selector), ...declarations(body) });
  }
  return rules;
}

/** The first colour of each gradient, by its id. */
function gradientColors(root: SvgNode): ReadonlyMap<string, string> {
  const colors = new Map<string, string>();
  for (const { name, attributes, children } of descendants(root)) {
    if (!/gradient$/i.test(name) || attributes.id === undefined) continue;
    const [stop] = children;
    const own =
      stop &&
      (stop.attributes["stop-color"] ?? /stop-color:\s*([^;]+)/.exec(stop.attributes.style ?? "")?.[1]);
    if (own) colors.set(attributes.id, own);
  }
  return colors;
}

function* descendants(node: SvgNode, depth = 0): Generator<SvgNode> {
  yield node;
  if (depth < DEEPEST) for (const child of node.children) yield* descendants(child, depth + 1);
}

/**
 * A drawing as a group of paths, as large as there is room for in a box.
 * @returns a sentence where it has more shapes than a template can hold
 */
export function withDrawing(
  template: Template,
  { shapes, bounds }: SvgDrawing,
  name: string,
  into: Rect,
): { readonly template: Template; readonly id: string } | { readonly problem: string } {
  const room = TEMPLATE_LIMITS.objects - allObjects(template).length - 1;
  if (shapes.length > room)
    return {
      problem: t`The drawing has ${shapes.length} shapes, and the template has room for ${Math.max(0, room)} more. Bring it in as a picture; nothing was changed.`,
    };
  const scale = Math.min(
    into.width / Math.max(bounds.width, 1e-6),
    into.height / Math.max(bounds.height, 1e-6),
  );
  const left = into.x + (into.width - bounds.width * scale) / 2;
  const top = into.y + (into.height - bounds.height * scale) / 2;
  const id = freeId(template, "drawing");
  const taken = new Set([id]);
  const objects = shapes.map(({ name: called, path, fill, stroke, strokeWidth }) => {
    const box = pathBounds(path) ?? bounds;
    const [width, height] = [Math.max(box.width, 0.01), Math.max(box.height, 0.01)];
    const own = freeId(template, called.toLowerCase().replace(/[^a-z0-9-]+/g, "-") || "shape", taken);
    taken.add(own);
    return pathKind.schema.parse({
      kind: "path",
      id: own,
      box: {
        x: left + (box.x - bounds.x) * scale,
        y: top + (box.y - bounds.y) * scale,
        width: width * scale,
        height: height * scale,
      },
      path: svgpath(path).translate(-box.x, -box.y).round(3).toString(),
      viewWidth: width,
      viewHeight: height,
      fill: fill === null ? { kind: "none" } : { kind: "solid", color: fill },
      stroke: stroke === null ? null : { color: stroke, widthPx: Math.min(200, strokeWidth * scale) },
    });
  });
  const group = groupSchema.parse({
    kind: "group",
    id,
    box: { x: left, y: top, width: bounds.width * scale, height: bounds.height * scale },
    objects,
    editing: { name: name.slice(0, 60) },
  });
  return { template: { ...template, objects: [...template.objects, group] } as Template, id };
}
