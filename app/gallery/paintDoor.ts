import type { Placement } from "../../core/compose/placements.ts";
import { drawOnCanvas } from "../../painters/canvasStage.ts";
import { ElementStage } from "../../painters/elementStage.ts";
import { PlateCache } from "../../painters/plateCache.ts";
import type { Stage } from "../../painters/stage.ts";
import type { Drawing } from "../live/drawing.ts";

/** What a test asks this window's painters to do. */
export interface PaintDoor {
  /** Composes placements on a canvas. @returns its pixels, RGBA, straight alpha, as base64 */
  readonly onCanvas: (placements: readonly Placement[], widthPx: number, heightPx: number) => string;
  /** Stacked elements at the top left of the window; one at a time. @param ground CSS colour beneath */
  readonly openStage: (widthPx: number, heightPx: number, ground?: string) => Stage;
}

declare global {
  interface Window {
    paintDoor?: PaintDoor;
  }
}

/** Lets a test have placements painted by this window. @returns a function that ends it */
export function openPaintDoor(drawing: Drawing): () => void {
  const frame = document.createElement("div");
  let stage: ElementStage | undefined;
  window.paintDoor = {
    onCanvas(placements, widthPx, heightPx) {
      const { context } = drawing.kit.makeCanvas(widthPx, heightPx);
      drawOnCanvas(context, placements, { kit: drawing.kit, scale: 1, widthPx, heightPx });
      const { data } = context.getImageData(0, 0, widthPx, heightPx);
      let text = "";
      for (let i = 0; i < data.length; i += 32_768)
        text += String.fromCharCode(...data.subarray(i, i + 32_768));
      return btoa(text);
    },
    openStage(widthPx, heightPx, ground = "none") {
      stage?.discard();
      Object.assign(frame.style, {
        position: "fixed",
        inset: "0 auto auto 0",
        width: `${widthPx}px`,
        height: `${heightPx}px`,
        overflow: "hidden",
        background: ground,
        zIndex: "2147483647",
      });
      document.body.append(frame);
      stage = new ElementStage(frame, {
        ...{ plates: new PlateCache(drawing.kit, 1), scale: 1, pixelRatio: 1 },
        videos: { addressOf: (file) => `/${file}`, keyOf: () => null, sound: false },
      });
      return stage;
    },
  };
  return () => {
    stage?.discard();
    frame.remove();
    delete window.paintDoor;
  };
}
