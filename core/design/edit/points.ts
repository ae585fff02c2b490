import { t } from "../../language/t.ts";
import type { ReadableObject } from "../../scene/objectKinds.ts";
import type { Rect } from "./objects.ts";

/** A property of an object that is a place, as a point on the canvas that can be dragged. */
export interface EditPoint {
  readonly name: string;
  readonly label: string;
  readonly kind: "pivot" | "focus" | "stop" | "gradient";
  /** px of the canvas. */
  readonly at: Point;
  /** Beside which side of its place it is drawn, so that it hides no handle of the box; of length 1, or 0 for on it. */
  readonly beside: Point;
}

interface Point {
  readonly x: number;
  readonly y: number;
}

type Fill = Extract<ReadableObject, { kind: "rectangle" }>["fill"];
type Run = Extract<Fill, { kind: "linear" | "radial" }>;

/** Room between the end of a gradient and the point that turns it, px. */
const BEYOND_PX = 40;
const ON_IT: Point = { x: 0, y: 0 };

/** The points of an object that stands in a box. */
export function pointsOf(object: ReadableObject, box: Rect): readonly EditPoint[] {
  const points: EditPoint[] = [
    { name: "pivot", label: t`Pivot`, kind: "pivot", at: within(box, object.pivot), beside: ON_IT },
  ];
  const focus = focusOf(object);
  if (focus) {
    const at = within(box, focus);
    points.push({ name: "focus", label: t`Kept in sight`, kind: "focus", at, beside: ON_IT });
  }
  const fill = runOf(object);
  if (fill) points.push(...pointsOfRun(fill, box));
  return points.map((point) => ({ ...point, at: turnedWith(object, box, point.at, 1) }));
}

/** An object with one of its points elsewhere. @param to px of the canvas */
export function movePoint(object: ReadableObject, box: Rect, name: string, to: Point): ReadableObject {
  const at = turnedWith(object, box, to, -1);
  const share = shareOf(box, at);
  if (name === "pivot") {
    const pivot = clamped(share, -4, 5);
    // What is turned stays where it is seen: it is turned around another point by moving what is turned.
    const now = within(box, pivot);
    const seen = turnedWith(object, box, now, 1);
    return shifted({ ...object, pivot }, { x: seen.x - now.x, y: seen.y - now.y });
  }
  if (name === "focus") return withFocus(object, clamped(share, 0, 1));
  const fill = runOf(object);
  return fill ? ({ ...object, fill: movedRun(fill, box, name, at) } as ReadableObject) : object;
}

/** Elsewhere by so much, where its place is written in figures. */
function shifted<T extends ReadableObject>(object: T, { x, y }: Point): T {
  const { box } = object;
  if (typeof box.x !== "number" || typeof box.y !== "number") return object;
  return x === 0 && y === 0 ? object : { ...object, box: { ...box, x: tidy(box.x + x), y: tidy(box.y + y) } };
}

const within = (box: Rect, { x, y }: Point): Point => ({
  x: box.x + x * box.width,
  y: box.y + y * box.height,
});
const shareOf = (box: Rect, { x, y }: Point): Point => ({
  x: (x - box.x) / Math.max(box.width, 1),
  y: (y - box.y) / Math.max(box.height, 1),
});
/** To a thousandth: what is written down is what a person can read. */
const tidy = (value: number): number => Math.round(value * 1_000) / 1_000;
const clamp = (value: number, least: number, most: number): number =>
  tidy(Math.min(most, Math.max(least, value)));
const clamped = ({ x, y }: Point, least: number, most: number): Point => ({
  x: clamp(x, least, most),
  y: clamp(y, least, most),
});

/** A point of a box as it is seen when the box is turned around its pivot; by −1 the other way round. */
function turnedWith(object: ReadableObject, box: Rect, { x, y }: Point, by: 1 | -1): Point {
  const degrees = typeof object.rotationDeg === "number" ? object.rotationDeg * by : 0;
  const middle = within(box, object.pivot);
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return {
    x: middle.x + (x - middle.x) * cos - (y - middle.y) * sin,
    y: middle.y + (x - middle.x) * sin + (y - middle.y) * cos,
  };
}

function focusOf(object: ReadableObject): Point | undefined {
  if ("focus" in object) return object.focus;
  return "fill" in object && object.fill.kind === "picture" ? object.fill.focus : undefined;
}

function withFocus(object: ReadableObject, focus: Point): ReadableObject {
  if ("focus" in object) return { ...object, focus };
  return "fill" in object && object.fill.kind === "picture"
    ? ({ ...object, fill: { ...object.fill, focus } } as ReadableObject)
    : object;
}

const runOf = (object: ReadableObject): Run | undefined =>
  "fill" in object && (object.fill.kind === "linear" || object.fill.kind === "radial")
    ? object.fill
    : undefined;

/** Where a gradient begins and ends. Source: CSS Images 3, "linear-gradient()", for the straight one. */
function lineOf(fill: Run, box: Rect): { readonly from: Point; readonly to: Point } {
  const middle = within(box, { x: 0.5, y: 0.5 });
  if (fill.kind === "radial") {
    const from = within(box, fill.center);
    return { from, to: { x: from.x + fill.radius * Math.max(box.width, box.height), y: from.y } };
  }
  const angle = (fill.angleDeg * Math.PI) / 180;
  const half = (Math.abs(box.width * Math.sin(angle)) + Math.abs(box.height * Math.cos(angle))) / 2;
  const [dx, dy] = [Math.sin(angle) * half, -Math.cos(angle) * half];
  return {
    from: { x: middle.x - dx, y: middle.y - dy },
    to: { x: middle.x + dx, y: middle.y + dy },
  };
}

function pointsOfRun(fill: Run, box: Rect): readonly EditPoint[] {
  const { from, to } = lineOf(fill, box);
  const length = Math.max(1, Math.hypot(to.x - from.x, to.y - from.y));
  const beside = { x: -(to.y - from.y) / length, y: (to.x - from.x) / length };
  const stops = fill.stops.map(
    ({ at }, i): EditPoint => ({
      name: t`stop ${i}`,
      label: t`Colour ${i + 1} of the gradient`,
      kind: "stop",
      at: { x: from.x + (to.x - from.x) * at, y: from.y + (to.y - from.y) * at },
      beside,
    }),
  );
  if (fill.kind === "linear") {
    const beyond = 1 + BEYOND_PX / length;
    const at = { x: from.x + (to.x - from.x) * beyond, y: from.y + (to.y - from.y) * beyond };
    return [...stops, { name: "angle", label: t`Direction of the gradient`, kind: "gradient", at, beside }];
  }
  return [
    ...stops,
    { name: "center", label: t`Middle of the gradient`, kind: "gradient", at: from, beside: { x: 0, y: -1 } },
    {
      name: "radius",
      label: t`Radius of the gradient`,
      kind: "gradient",
      at: { x: from.x, y: from.y - length },
      beside: { x: 1, y: 0 },
    },
  ];
}

function movedRun(fill: Run, box: Rect, name: string, to: Point): Run {
  const line = lineOf(fill, box);
  if (name.startsWith("stop ")) {
    const index = Number(name.slice("stop ".length));
    const [dx, dy] = [line.to.x - line.from.x, line.to.y - line.from.y];
    const along = ((to.x - line.from.x) * dx + (to.y - line.from.y) * dy) / Math.max(1, dx * dx + dy * dy);
    const { stops } = fill;
    const at = clamp(along, stops[index - 1]?.at ?? 0, stops[index + 1]?.at ?? 1);
    return { ...fill, stops: stops.map((stop, i) => (i === index ? { ...stop, at } : stop)) } as Run;
  }
  if (fill.kind === "linear") {
    const middle = within(box, { x: 0.5, y: 0.5 });
    const degrees = (Math.atan2(to.x - middle.x, middle.y - to.y) * 180) / Math.PI;
    return { ...fill, angleDeg: Math.round((degrees + 360) % 360) };
  }
  if (name === "center") return { ...fill, center: clamped(shareOf(box, to), -2, 3) };
  const longer = Math.max(box.width, box.height, 1);
  const radius = clamp(Math.hypot(to.x - line.from.x, to.y - line.from.y) / longer, 0.01, 4);
  return { ...fill, radius };
}
