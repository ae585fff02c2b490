import { createCanvas, Path2D } from "@napi-rs/canvas";

/** Large enough for the height of a screen. */
const SIDE_PX = 1024;
/** Marks are drawn in a square of this many units. */
const SIDE = 100;

/** A mark as a PNG with alpha, in one colour. @param color #rrggbb */
export async function drawMark({
  path,
  color,
}: {
  readonly path: string;
  readonly color: string;
}): Promise<Uint8Array> {
  const canvas = createCanvas(SIDE_PX, SIDE_PX);
  const context = canvas.getContext("2d");
  context.scale(SIDE_PX / SIDE, SIDE_PX / SIDE);
  context.fillStyle = color;
  context.fill(new Path2D(path));
  return canvas.toBuffer("image/png");
}
