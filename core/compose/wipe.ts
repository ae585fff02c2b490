import type { Pose } from "../motion/pose.ts";
import type { Rect } from "../picture/picture.ts";

type Clips = Pick<Pose, "clipLeft" | "clipTop" | "clipRight" | "clipBottom">;
type Size = Pick<Rect, "width" | "height">;

const within = (fraction: number) => Math.max(0, Math.min(1, fraction));

/** What of a box is left when its edges are cut off, from its top left; undefined when nothing is cut. */
export function clipOf(pose: Clips, size: Size): Rect | undefined {
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

/** The same on the output, for a box there; the whole box when nothing is cut. */
export function wipedRect(pose: Clips, box: Rect): Rect {
  const clip = clipOf(pose, box);
  return clip ? { ...clip, x: box.x + clip.x, y: box.y + clip.y } : box;
}

/** How much of a box is left, 0 to 1. */
export const shareLeft = ({ clipLeft, clipTop, clipRight, clipBottom }: Clips): number =>
  within(1 - within(clipLeft) - within(clipRight)) * within(1 - within(clipTop) - within(clipBottom));

/** A pose with nothing cut off. */
export const uncut = (pose: Pose): Pose =>
  clipOf(pose, { width: 1, height: 1 })
    ? { ...pose, clipLeft: 0, clipTop: 0, clipRight: 0, clipBottom: 0 }
    : pose;
