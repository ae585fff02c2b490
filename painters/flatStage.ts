import type { Placement } from "../core/compose/placements.ts";
import { type CanvasStageParts, drawOnCanvas } from "./canvasStage.ts";
import { LentPlates } from "./lentPlates.ts";
import type { PlateCache } from "./plateCache.ts";
import type { Stage } from "./stage.ts";

export interface FlatParts extends Pick<CanvasStageParts, "program" | "widthPx" | "heightPx"> {
  readonly plates: PlateCache;
}

/**
 * Composes everything on one canvas: a browser keeps a layer for each canvas that it shows, and many small pictures of many
 * objects would be hundreds. Clips are shown by their posters.
 */
export class FlatStage implements Stage {
  readonly #context: CanvasRenderingContext2D;
  readonly #parts: FlatParts;
  readonly #lent: LentPlates;

  /** @param root an element the size of the picture; the stage adds a canvas to it */
  constructor(root: HTMLElement, parts: FlatParts) {
    const { widthPx, heightPx, plates } = parts;
    this.#parts = parts;
    this.#lent = new LentPlates(plates);
    const canvas = document.createElement("canvas");
    canvas.width = Math.max(1, Math.round(widthPx * plates.scale));
    canvas.height = Math.max(1, Math.round(heightPx * plates.scale));
    const context = canvas.getContext("2d");
    if (!context) throw new Error(`No canvas of ${canvas.width}×${canvas.height}`);
    this.#context = context;
    Object.assign(canvas.style, { position: "absolute", inset: "0", width: "100%", height: "100%" });
    root.append(canvas);
  }

  draw(placements: readonly Placement[]): void {
    const { canvas } = this.#context;
    const { kit, scale } = this.#parts.plates;
    this.#context.setTransform(1, 0, 0, 1, 0, 0);
    this.#context.clearRect(0, 0, canvas.width, canvas.height);
    drawOnCanvas(this.#context, placements, { ...this.#parts, kit, scale, painted: this.#lent.painted });
    this.#lent.giveBack();
  }

  discard(): void {
    this.draw([]);
    this.#context.canvas.remove();
  }
}
