import { z } from "zod";
import { measureSchema, type Resolved } from "../names/measure.ts";
import { nameSchema } from "../names/name.ts";

const EDGES = ["left", "center", "right", "top", "middle", "bottom"] as const;
type EdgeName = (typeof EDGES)[number];

/** An edge of a box that follows an edge elsewhere. */
const tieSchema = z.strictObject({
  /** Another object of the template, or the whole canvas. */
  to: z.discriminatedUnion("kind", [
    z.strictObject({ kind: z.literal("canvas") }),
    z.strictObject({ kind: z.literal("box"), object: nameSchema(60) }),
    /** Where the words of a text stand, which may be less than its box. */
    z.strictObject({ kind: z.literal("words"), object: nameSchema(60) }),
  ]),
  edge: z.enum(EDGES),
  /** From there, to the right or down. */
  gapPx: measureSchema(-20_000, 20_000).default(0),
});
type Tie = Resolved<z.infer<typeof tieSchema>>;

const limit = measureSchema(0, 20_000).nullable().default(null);
/**
 * Which edges of a box follow what. One edge of an axis tied moves the box, both stretch it; least and most hold after that, and
 * keep the tied edge (the first of the two) where it is.
 */
export const tiesSchema = z.strictObject({
  left: tieSchema.nullable().default(null),
  right: tieSchema.nullable().default(null),
  top: tieSchema.nullable().default(null),
  bottom: tieSchema.nullable().default(null),
  leastWidthPx: limit,
  mostWidthPx: limit,
  leastHeightPx: limit,
  mostHeightPx: limit,
});
export type Ties = Resolved<z.infer<typeof tiesSchema>>;
export const NO_TIES = {
  left: null,
  right: null,
  top: null,
  bottom: null,
  leastWidthPx: null,
  mostWidthPx: null,
  leastHeightPx: null,
  mostHeightPx: null,
} as const;

interface Span {
  readonly from: number;
  readonly length: number;
}
interface Rect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}
type Axis = "x" | "y";

const AXIS_OF: Readonly<Record<EdgeName, Axis>> = {
  left: "x",
  center: "x",
  right: "x",
  top: "y",
  middle: "y",
  bottom: "y",
};
/** How far along its box an edge lies. */
const ALONG: Readonly<Record<EdgeName, number>> = {
  left: 0,
  center: 0.5,
  right: 1,
  top: 0,
  middle: 0.5,
  bottom: 1,
};
const ENDS = {
  x: { first: "left", last: "right", least: "leastWidthPx", most: "mostWidthPx" },
  y: { first: "top", last: "bottom", least: "leastHeightPx", most: "mostHeightPx" },
} as const;

/** An object as far as its ties are concerned. */
export interface Tied {
  readonly id: string;
  readonly box: Rect;
  readonly ties: Ties;
  readonly isDrawn: boolean;
}

export const isTied = ({ left, right, top, bottom, ...limits }: Ties): boolean =>
  Boolean(left ?? right ?? top ?? bottom) || Object.values(limits).some((px) => px !== null);

/**
 * Where the boxes of tied objects stand.
 * A tie to an object that is not drawn goes on to what that one's own edge on this side is tied to, so that rows close up;
 * one that hangs on nothing counts as having no length, where its box begins.
 * @param objects all of the template; ties must not go in circles (see `findTieCircle`)
 * @param wordsOf where the words of a text stand when its box is this; undefined: as its box
 * @returns boxes of the objects whose ties moved them
 */
export function tieBoxes(
  objects: readonly Tied[],
  canvas: { readonly widthPx: number; readonly heightPx: number },
  wordsOf: (id: string, box: Rect) => Rect | undefined,
): Map<string, Rect> {
  const byId = new Map(objects.map((object) => [object.id, object]));
  const spans = new Map<string, Span>();
  const open = new Set<string>();
  const whole: Rect = { x: 0, y: 0, width: canvas.widthPx, height: canvas.heightPx };
  const spanIn = (rect: Rect, axis: Axis): Span =>
    axis === "x" ? { from: rect.x, length: rect.width } : { from: rect.y, length: rect.height };

  const spanOf = (object: Tied, axis: Axis): Span => {
    const key = `${axis}${object.id}`;
    const known = spans.get(key);
    if (known) return known;
    const own = spanIn(object.box, axis);
    // A circle, which reading refuses, ends where it began.
    if (open.has(key)) return own;
    open.add(key);
    const span = resolve(object, axis, own);
    open.delete(key);
    spans.set(key, span);
    return span;
  };

  const resolve = (object: Tied, axis: Axis, own: Span): Span => {
    const { first, last, least, most } = ENDS[axis];
    const { ties } = object;
    const from = ties[first] && edgeAt(ties[first], axis);
    const to = ties[last] && edgeAt(ties[last], axis);
    let length = from !== null && to !== null ? Math.max(0, to - from) : own.length;
    length = Math.min(ties[most] ?? Number.POSITIVE_INFINITY, Math.max(ties[least] ?? 0, length));
    if (from !== null) return { from, length };
    if (to !== null) return { from: to - length, length };
    return { from: own.from, length };
  };

  const edgeAt = (tie: Tie, axis: Axis): number => {
    if (AXIS_OF[tie.edge] !== axis) return tie.gapPx;
    const along = ALONG[tie.edge];
    if (tie.to.kind === "canvas") return pointOf(spanIn(whole, axis), along) + tie.gapPx;
    const target = byId.get(tie.to.object);
    if (!target) return pointOf(spanIn(whole, axis), along) + tie.gapPx;
    if (!target.isDrawn) return closedUp(target, axis) + tie.gapPx;
    if (tie.to.kind === "box") return pointOf(spanOf(target, axis), along) + tie.gapPx;
    const x = spanOf(target, "x");
    const y = spanOf(target, "y");
    const box = { x: x.from, y: y.from, width: x.length, height: y.length };
    return pointOf(spanIn(wordsOf(target.id, box) ?? box, axis), along) + tie.gapPx;
  };

  /** Where what is not drawn lets others close up to: what it would itself follow, without its gap. */
  const closedUp = (hidden: Tied, axis: Axis): number => {
    const key = `${axis}${hidden.id}/closed`;
    const { first, last } = ENDS[axis];
    const tie = hidden.ties[first] ?? hidden.ties[last];
    if (!tie || open.has(key)) return spanIn(hidden.box, axis).from;
    open.add(key);
    const at = edgeAt({ ...tie, gapPx: 0 }, axis);
    open.delete(key);
    return at;
  };

  const moved = new Map<string, Rect>();
  for (const object of objects) {
    if (!object.isDrawn || !isTied(object.ties)) continue;
    const x = spanOf(object, "x");
    const y = spanOf(object, "y");
    moved.set(object.id, { x: x.from, y: y.from, width: x.length, height: y.length });
  }
  return moved;
}

const pointOf = ({ from, length }: Span, along: number): number => from + length * along;

/**
 * The first circle of ties, by the names of the objects and in order ("a", "b", "a"); undefined when there is none. Words hang on
 * both sides of their box, so a tie to words follows both.
 */
export function findTieCircle(
  objects: readonly { readonly id: string; readonly ties: TieSpecs }[],
): string[] | undefined {
  const byId = new Map(objects.map((object) => [object.id, object.ties]));
  const done = new Set<string>();
  const walk = (id: string, axis: Axis, path: readonly string[]): string[] | undefined => {
    const key = `${axis} ${id}`;
    const at = path.indexOf(key);
    if (at >= 0) return [...path.slice(at), key].map((step) => step.slice(2));
    if (done.has(key)) return undefined;
    const ties = byId.get(id);
    const { first, last } = ENDS[axis];
    for (const tie of ties ? [ties[first], ties[last]] : []) {
      if (!tie || tie.to.kind === "canvas") continue;
      const axes: Axis[] = tie.to.kind === "words" ? ["x", "y"] : [axis];
      for (const other of axes) {
        const circle = walk(tie.to.object, other, [...path, key]);
        if (circle) return circle;
      }
    }
    done.add(key);
    return undefined;
  };
  for (const { id } of objects)
    for (const axis of ["x", "y"] as const) {
      const circle = walk(id, axis, []);
      if (circle) return circle;
    }
  return undefined;
}

/** Ties before the house style has said how long its measures are. */
export type TieSpecs = z.infer<typeof tiesSchema>;

/** The objects that ties name. */
export const tiedTo = ({ left, right, top, bottom }: TieSpecs): string[] =>
  [left, right, top, bottom].flatMap((tie) => (tie && tie.to.kind !== "canvas" ? [tie.to.object] : []));
