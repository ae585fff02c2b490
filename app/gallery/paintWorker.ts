import type { Picture } from "../../core/picture/picture.ts";
import { type Canvas2D, paintPicture } from "../../painters/paint.ts";
import { loadShaper } from "../live/shaper.ts";

export interface PaintJob {
  readonly pictures: readonly Picture[];
  readonly scale: number;
}

/** The pixels of each picture, RGBA. */
export type PaintedPixels = readonly Uint8ClampedArray[];

self.onmessage = async ({ data: { pictures, scale } }: MessageEvent<PaintJob>) => {
  const { shaper } = await loadShaper();
  const kit = { outlines: shaper, MakePath: Path2D, findImage: () => undefined };
  const painted: PaintedPixels = pictures.map((picture) => {
    const width = Math.max(1, Math.ceil(picture.bounds.width * scale));
    const height = Math.max(1, Math.ceil(picture.bounds.height * scale));
    const context = new OffscreenCanvas(width, height).getContext("2d");
    if (!context) throw new Error("No 2D context in the paint worker");
    paintPicture(context as unknown as Canvas2D, picture, scale, kit);
    return context.getImageData(0, 0, width, height).data;
  });
  postMessage(painted);
};
