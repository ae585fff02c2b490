import { oncePer } from "../memo/oncePer.ts";
import type { Pose } from "../motion/pose.ts";
import { type BoxPaint, paintFor, recolored } from "../picture/boxPaint.ts";
import { mixColor } from "../picture/mixColor.ts";
import { pathBounds, pathLength, placePath } from "../picture/pathData.ts";
import {
  type CornerRadii,
  growToPixels,
  type Matte,
  type Picture,
  type PictureItem,
  type Point,
  type Rect,
  type Shadow,
  type Shape,
  type Stroke,
  shadowReachPx,
} from "../picture/picture.ts";
import { shapePath } from "../picture/shapePath.ts";

/** A shape as an object has it at rest, with all that drawing it anew in another box takes. Coordinates are those of its part. */
export interface ShapeSpec {
  readonly shape: Shape;
  readonly box: Rect;
  /** What its box grows around. */
  readonly pivot: Point;
  /** Painted one over another: a picture's own ground lies beneath it. */
  readonly fills: readonly BoxPaint[];
  readonly stroke: Stroke | null;
  readonly shadows: readonly Shadow[];
  readonly blurPx: number;
  readonly matte: Matte | null;
}

type Moves = Pick<Pose, "width" | "height" | "corners" | "lineDrawn" | "gradientDeg">;
const AT_REST: Moves = { width: 1, height: 1, corners: 1, lineDrawn: 1, gradientDeg: 0 };

/** Whether a pose asks for another outline than the one at rest. */
export const isReshaped = (pose: Moves): boolean =>
  pose.width !== 1 ||
  pose.height !== 1 ||
  pose.corners !== 1 ||
  pose.lineDrawn !== 1 ||
  pose.gradientDeg !== 0;

/** The picture of a shape, its box, corners, outline, gradient and colour as a pose has them. @param color what a track of colour goes to */
export function pictureOfShape(
  spec: ShapeSpec,
  moves: Moves = AT_REST,
  color: { readonly to: string; readonly amount: number } | null = null,
): Picture {
  const { pivot, shadows, blurPx, matte } = spec;
  // What is nothing but an outline has its colour there.
  const isOutline = spec.fills.every(({ kind }) => kind === "none");
  const stroke =
    spec.stroke && color && isOutline
      ? { ...spec.stroke, color: mixColor(spec.stroke.color, color.to, color.amount) }
      : spec.stroke;
  const box = boxAt(spec.box, pivot, moves);
  const shape = partly(shapeIn(spec, box, moves), moves.lineDrawn);
  const outline = stroke && dashed(stroke, shape, moves.lineDrawn);
  const fills = color
    ? spec.fills.map((fill) => recolored(fill, color.to, Math.max(0, Math.min(1, color.amount))))
    : spec.fills;
  const items = itemsOf(shape, fills, box, outline, shadows, moves.gradientDeg);
  const reach = shadowReachPx(shadows) + (stroke?.widthPx ?? 0) / 2;
  return {
    bounds: growToPixels(inkOf(shape, box), reach + blurPx * 3),
    items,
    ...(blurPx > 0 ? { blurPx } : {}),
    ...(matte ? { matte } : {}),
  };
}

function itemsOf(
  shape: Shape,
  fills: readonly BoxPaint[],
  box: Rect,
  stroke: Stroke | null,
  shadows: readonly Shadow[],
  turnDeg: number,
): PictureItem[] {
  const painted = fills.filter(({ kind }) => kind !== "none");
  if (painted.length <= 1) {
    const fill = painted[0] ? paintFor(painted[0], box, turnDeg) : ({ kind: "none" } as const);
    // An outline lies over a picture, and under any other fill, as it does with letters.
    if (fill.kind !== "image") return [{ ...shape, fill, stroke, shadows }];
    const bare: PictureItem = { ...shape, fill, stroke: null, shadows };
    return stroke ? [bare, { ...shape, fill: { kind: "none" }, stroke, shadows: [] }] : [bare];
  }
  const items = painted.map(
    (fill, i): PictureItem => ({
      ...shape,
      fill: paintFor(fill, box, turnDeg),
      stroke: null,
      shadows: i === 0 ? shadows : [],
    }),
  );
  return stroke ? [...items, { ...shape, fill: { kind: "none" }, stroke, shadows: [] }] : items;
}

function boxAt(box: Rect, pivot: Point, { width, height }: Moves): Rect {
  if (width === 1 && height === 1) return box;
  const wide = Math.max(0, width);
  const high = Math.max(0, height);
  return {
    x: pivot.x + (box.x - pivot.x) * wide,
    y: pivot.y + (box.y - pivot.y) * high,
    width: box.width * wide,
    height: box.height * high,
  };
}

function shapeIn({ shape, box: rest }: ShapeSpec, box: Rect, { corners }: Moves): Shape {
  if (box === rest && corners === 1) return shape;
  const sx = rest.width === 0 ? 1 : box.width / rest.width;
  const sy = rest.height === 0 ? 1 : box.height / rest.height;
  const moved = ({ x, y }: Point): Point => ({ x: box.x + (x - rest.x) * sx, y: box.y + (y - rest.y) * sy });
  switch (shape.kind) {
    case "rectangle": {
      const most = Math.min(box.width, box.height) / 2;
      const radiiPx = shape.radiiPx.map((radius) =>
        Math.max(0, Math.min(most, radius * corners)),
      ) as unknown as CornerRadii;
      return { kind: "rectangle", rect: box, radiiPx };
    }
    case "ellipse":
      return { kind: "ellipse", rect: box };
    case "line":
      return { kind: "line", from: moved(shape.from), to: moved(shape.to) };
    case "polygon":
      return { kind: "polygon", points: shape.points.map(moved) };
    case "path":
      return {
        kind: "path",
        data: placePath(shape.data, sx, sy, box.x - rest.x * sx, box.y - rest.y * sy),
      };
  }
}

/** A straight line is drawn as far as it has come, so that its ends stay as they are. */
function partly(shape: Shape, lineDrawn: number): Shape {
  if (shape.kind !== "line" || lineDrawn >= 1) return shape;
  const t = Math.max(0, lineDrawn);
  const { from, to } = shape;
  return { ...shape, to: { x: from.x * (1 - t) + to.x * t, y: from.y * (1 - t) + to.y * t } };
}

/** Other outlines are drawn as one long dash. */
function dashed(stroke: Stroke, shape: Shape, lineDrawn: number): Stroke | null {
  if (lineDrawn >= 1) return stroke;
  if (lineDrawn <= 0) return null;
  if (shape.kind === "line") return stroke;
  const length = lengthOf(shape);
  return { ...stroke, dashPx: [length * lineDrawn, length + 1] };
}

// A shape at rest is the same one from frame to frame.
const lengthOf = oncePer((shape: Shape) => pathLength(shapePath(shape)));
const boundsOf = oncePer((shape: Shape) => pathBounds(shapePath(shape)));

/** Polygons and paths may reach past their box. */
export function inkOf(shape: Shape, box: Rect): Rect {
  switch (shape.kind) {
    case "polygon": {
      const xs = shape.points.map(({ x }) => x);
      const ys = shape.points.map(({ y }) => y);
      const x = Math.min(...xs);
      const y = Math.min(...ys);
      return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
    }
    case "path":
      return boundsOf(shape);
    default:
      return box;
  }
}
