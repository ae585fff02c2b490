import { type Canvas, createCanvas, type Image, loadImage, Path2D as NapiPath } from "@napi-rs/canvas";
import type { Placement } from "../../core/compose/placements.ts";
import type { Shaper } from "../../core/text/shaper.ts";
import { type CanvasStageParts, drawOnCanvas } from "../../painters/canvasStage.ts";
import type { Canvas2D, MadeCanvas, PaintKit } from "../../painters/paint.ts";
import { log } from "../log/log.ts";

/** The server's painter: the same lists on a canvas library of its own. */
function makeCanvas(widthPx: number, heightPx: number): MadeCanvas {
  const canvas = createCanvas(widthPx, heightPx);
  return { image: canvas as unknown as CanvasImageSource, context: contextOf(canvas) };
}

export const contextOf = (canvas: Canvas): Canvas2D => canvas.getContext("2d") as unknown as Canvas2D;

export function serverPaintKit(
  shaper: Pick<Shaper, "outline">,
  images: ReadonlyMap<string, Image> = new Map(),
): PaintKit {
  return {
    outlines: shaper,
    MakePath: NapiPath as unknown as PaintKit["MakePath"],
    findImage: (file) => (images.get(file) as unknown as CanvasImageSource | undefined) ?? "missing",
    makeCanvas,
  };
}

/** Decodes picture files; one that cannot be read is left out, and its stand-in is painted. */
export async function decodeImages(files: ReadonlyMap<string, Uint8Array>): Promise<Map<string, Image>> {
  const images = new Map<string, Image>();
  for (const [file, bytes] of files) {
    try {
      images.set(file, await loadImage(Buffer.from(bytes)));
    } catch (error) {
      log.warn(`Picture ${file} cannot be decoded`, error);
    }
  }
  return images;
}

/**
 * Placements drawn on a canvas of the server.
 * @param output what the canvas shows, in output pixels
 * @param ground CSS colour beneath all, or none to stay clear
 * @param program what stands in windows of the program picture
 * @param from where in the picture the canvas begins; the picture's own origin when not given
 */
export function drawPlacements(
  placements: readonly Placement[],
  output: { readonly widthPx: number; readonly heightPx: number },
  scale: number,
  kit: PaintKit,
  ground: string | null = null,
  from: { readonly xPx: number; readonly yPx: number } = { xPx: 0, yPx: 0 },
  program: CanvasStageParts["program"] = undefined,
): Canvas {
  const canvas = createCanvas(
    Math.max(1, Math.round(output.widthPx * scale)),
    Math.max(1, Math.round(output.heightPx * scale)),
  );
  const context = contextOf(canvas);
  if (ground !== null) {
    context.fillStyle = ground;
    context.fillRect(0, 0, canvas.width, canvas.height);
  }
  drawOnCanvas(context, placements, { kit, scale, ...output, from, ...(program && { program }) });
  return canvas;
}
