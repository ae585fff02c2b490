import type { Placement } from "../core/compose/placements.ts";
import type { Pose } from "../core/motion/pose.ts";
import type { CornerRadii, Rect } from "../core/picture/picture.ts";

/** What both stages must agree on: where a plate's box lies, what it turns around and where it is cut. */
export type PlatePlacement = Extract<Placement, { kind: "plate" }>;

/** Bounds of a plate on the output, before its pose. */
export function boundsOf({ plate, x, y }: PlatePlacement): Rect {
  const { bounds } = plate.picture;
  return { x: x + bounds.x, y: y + bounds.y, width: bounds.width, height: bounds.height };
}

const within = (fraction: number) => Math.max(0, Math.min(1, fraction));

/** What of a box is left when its edges are cut off; undefined when nothing is cut. */
export function clipOf(
  pose: Pose,
  size: { readonly width: number; readonly height: number },
): Rect | undefined {
  const { clipLeft, clipTop, clipRight, clipBottom } = pose;
  if (clipLeft <= 0 && clipTop <= 0 && clipRight <= 0 && clipBottom <= 0) return undefined;
  const x = within(clipLeft) * size.width;
  const y = within(clipTop) * size.height;
  return {
    x,
    y,
    width: Math.max(0, size.width * (1 - within(clipRight)) - x),
    height: Math.max(0, size.height * (1 - within(clipBottom)) - y),
  };
}

export const opacityOf = (pose: Pose): number => within(pose.opacity);

export function isAtRest({ offsetXPx, offsetYPx, scale, scaleX, scaleY, rotationDeg }: Pose): boolean {
  return (
    offsetXPx === 0 && offsetYPx === 0 && scale === 1 && scaleX === 1 && scaleY === 1 && rotationDeg === 0
  );
}

export const allCorners = (radius: number): CornerRadii => [radius, radius, radius, radius];
