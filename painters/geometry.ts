import type { PlatePlacement } from "../core/compose/placements.ts";
import type { Pose } from "../core/motion/pose.ts";
import type { Rect } from "../core/picture/picture.ts";

/** What both stages must agree on: where a plate's box lies, and when it is copied as it is. */

/** Bounds of a plate on the output, before its pose. */
export function boundsOf({ plate, x, y }: PlatePlacement): Rect {
  const { bounds } = plate.picture;
  return { x: x + bounds.x, y: y + bounds.y, width: bounds.width, height: bounds.height };
}

export const opacityOf = (pose: Pose): number => Math.max(0, Math.min(1, pose.opacity));

export function isAtRest({ offsetXPx, offsetYPx, scale, scaleX, scaleY, rotationDeg }: Pose): boolean {
  return (
    offsetXPx === 0 && offsetYPx === 0 && scale === 1 && scaleX === 1 && scaleY === 1 && rotationDeg === 0
  );
}
