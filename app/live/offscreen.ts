import type { Shaper } from "../../core/text/shaper.ts";
import type { Canvas2D, MadeCanvas, PaintKit } from "../../painters/paint.ts";

/** A canvas that no window shows, for workers. */
export function makeOffscreen(widthPx: number, heightPx: number): MadeCanvas {
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  const context = canvas.getContext("2d");
  if (!context) throw new Error(`No canvas of ${widthPx}×${heightPx}`);
  return { image: canvas, context: context as unknown as Canvas2D };
}

/** How workers paint: pictures of files are the window's, since what is scaled from another kind of source comes out otherwise. */
export const workerKit = (shaper: Shaper): PaintKit => ({
  outlines: shaper,
  MakePath: Path2D,
  findImage: () => "missing",
  makeCanvas: makeOffscreen,
});
