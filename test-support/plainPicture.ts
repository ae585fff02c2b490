import { createCanvas } from "@napi-rs/canvas";

/** A PNG of one colour. */
export function plainPicture(color: string, widthPx: number, heightPx: number): Buffer {
  const canvas = createCanvas(widthPx, heightPx);
  const context = canvas.getContext("2d");
  context.fillStyle = color;
  context.fillRect(0, 0, widthPx, heightPx);
  return canvas.toBuffer("image/png");
}
