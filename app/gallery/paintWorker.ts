import type { Picture } from "../../core/picture/picture.ts";
import { canvasSize, paintPicture } from "../../painters/paint.ts";
import { makeOffscreen, workerKit } from "../live/offscreen.ts";
import { loadShaper } from "../live/shaper.ts";

export interface PaintJob {
  readonly pictures: readonly Picture[];
  readonly scale: number;
}

/** The pixels of each picture, RGBA. */
export type PaintedPixels = readonly Uint8ClampedArray[];

self.onmessage = async ({ data: { pictures, scale } }: MessageEvent<PaintJob>) => {
  const { shaper } = await loadShaper();
  const kit = workerKit(shaper);
  const painted: PaintedPixels = pictures.map((picture) => {
    const { widthPx, heightPx } = canvasSize(picture, scale);
    const { context } = makeOffscreen(widthPx, heightPx);
    paintPicture(context, picture, scale, kit);
    return context.getImageData(0, 0, widthPx, heightPx).data;
  });
  postMessage(painted);
};
