import type { Picture } from "../core/picture/picture.ts";
import { type OutlineSource, paintPicture } from "./paint.ts";

interface Plate {
  readonly canvas: HTMLCanvasElement;
  inUse: boolean;
}

/** Bytes of idle plates kept for the next time. Those in use are on screen and always kept. */
const IDLE_BYTES = 160 * 1024 * 1024;

/**
 * Pictures drawn once, as canvases, by content key and scale. A plate is lent to a stage and comes back idle;
 * the idle ones least lately used are dropped when they hold more than a fixed number of bytes.
 */
export class PlateCache {
  readonly #outlines: OutlineSource;
  readonly #scale: number;
  readonly #plates = new Map<string, Plate[]>();
  /** How many plates had to be painted when they were already wanted on screen. */
  coldPaints = 0;

  constructor(outlines: OutlineSource, scale: number) {
    this.#outlines = outlines;
    this.#scale = scale;
  }

  /** Paints a plate ahead of its take. */
  prime(key: string, picture: Picture): void {
    if (this.#plates.has(key)) return;
    this.#plates.set(key, [{ canvas: this.#paint(picture), inUse: false }]);
    this.#dropIdle();
  }

  /** Lends a canvas with the picture on it; give it back with `release`. */
  acquire(key: string, picture: Picture): HTMLCanvasElement {
    const plates = this.#plates.get(key) ?? [];
    let plate = plates.find(({ inUse }) => !inUse);
    if (!plate) {
      this.coldPaints++;
      plate = { canvas: this.#paint(picture), inUse: false };
      plates.push(plate);
    }
    plate.inUse = true;
    this.#plates.delete(key);
    this.#plates.set(key, plates);
    return plate.canvas;
  }

  release(key: string, canvas: HTMLCanvasElement): void {
    const plates = this.#plates.get(key) ?? [];
    const plate = plates.find((candidate) => candidate.canvas === canvas);
    if (plate) plate.inUse = false;
    // One idle copy of a picture is enough.
    const idle = plates.filter(({ inUse }) => !inUse).slice(1);
    if (idle.length > 0)
      this.#plates.set(
        key,
        plates.filter((candidate) => !idle.includes(candidate)),
      );
    this.#dropIdle();
  }

  /** Bytes of all plates held. */
  get bytes(): number {
    let sum = 0;
    for (const plates of this.#plates.values())
      for (const { canvas } of plates) sum += canvas.width * canvas.height * 4;
    return sum;
  }

  #dropIdle(): void {
    let idleBytes = 0;
    for (const [key, plates] of [...this.#plates].reverse()) {
      for (const { canvas, inUse } of plates) if (!inUse) idleBytes += canvas.width * canvas.height * 4;
      if (idleBytes > IDLE_BYTES && plates.every(({ inUse }) => !inUse)) this.#plates.delete(key);
    }
  }

  #paint(picture: Picture): HTMLCanvasElement {
    const canvas = document.createElement("canvas");
    canvas.width = Math.max(1, Math.ceil(picture.bounds.width * this.#scale));
    canvas.height = Math.max(1, Math.ceil(picture.bounds.height * this.#scale));
    const context = canvas.getContext("2d");
    if (!context) throw new Error(`No 2D context for a plate of ${canvas.width}×${canvas.height}`);
    paintPicture(context, picture, this.#scale, this.#outlines, Path2D);
    return canvas;
  }
}
