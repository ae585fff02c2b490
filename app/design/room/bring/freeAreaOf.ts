import { freeArea } from "../../../../core/design/edit/freeArea.ts";
import type { Rect } from "../../../../core/design/edit/objects.ts";

/** Wide enough to find room for words, small enough to be done at once, px. */
const LOOKED_AT_PX = 240;

/** Where on a picture there is room for words, as shares of it; null: nowhere, or it cannot be shown. */
export async function freeAreaOf(file: Blob): Promise<Rect | null> {
  const picture = await createImageBitmap(file).catch(() => undefined);
  if (!picture) return null;
  const width = Math.min(LOOKED_AT_PX, picture.width);
  const height = Math.max(1, Math.round((picture.height * width) / picture.width));
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext("2d");
  if (!context) return null;
  context.drawImage(picture, 0, 0, width, height);
  picture.close();
  return freeArea(context.getImageData(0, 0, width, height).data, width, height);
}
