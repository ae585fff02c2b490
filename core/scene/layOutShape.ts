import type { BoxPaint } from "../picture/boxPaint.ts";
import type { Rect, Shape, Stroke } from "../picture/picture.ts";
import {
  boxPaintOf,
  makePart,
  matteOf,
  type ObjectContext,
  placeBox,
  plateOf,
  resolveShadows,
  resolveStroke,
} from "./objectContext.ts";
import type { Part } from "./part.ts";
import type { CommonObject, Drawn } from "./properties.ts";
import { pictureOfShape, type ShapeSpec } from "./shapeSpec.ts";

/**
 * One shape, as a plate that can be drawn anew while its box moves.
 * @param shapeIn the outline in a box
 * @param more dashes of its outline; fills over its own, such as a picture
 */
export function layOutShape(
  object: CommonObject & Drawn,
  shapeIn: (box: Rect) => Shape,
  context: ObjectContext,
  more: { readonly dashPx?: readonly number[]; readonly over?: (box: Rect) => BoxPaint } = {},
): Part[] {
  const { at, local } = placeBox(object.box, context.place);
  const { scale } = context.place;
  const own = resolveStroke(object.stroke, context);
  const dashPx = more.dashPx?.map((px) => px * scale) ?? [];
  const stroke: Stroke | null = own && dashPx.length > 0 ? { ...own, dashPx } : own;
  const ground = boxPaintOf(object.fill, local, object.id, context);
  const over = more.over?.(local);
  const shape: ShapeSpec = {
    shape: shapeIn(local),
    box: local,
    pivot: {
      x: local.x + local.width * object.pivot.x,
      y: local.y + local.height * object.pivot.y,
    },
    fills: over ? [ground, over] : [ground],
    stroke,
    shadows: resolveShadows(object.shadows, context),
    blurPx: object.blurPx * scale,
    matte: matteOf(object, local, context) ?? null,
  };
  if (over?.kind === "none" && ground.kind === "none" && !stroke) return [];
  return [makePart(object, context, at, { kind: "shape", plate: plateOf(pictureOfShape(shape)), shape })];
}
