import type { Canvas2D, MadeCanvas } from "../../painters/paint.ts";

/** A canvas that no window shows, for workers. */
export function makeOffscreen(widthPx: number, heightPx: number): MadeCanvas {
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  const context = canvas.getContext("2d");
  if (!context) throw new Error(`No canvas of ${widthPx}×${heightPx}`);
  return { image: canvas, context: context as unknown as Canvas2D };
}
