import { filesOf, type Picture } from "../core/picture/picture.ts";
import type { Plate } from "../core/scene/part.ts";
import { type Canvas2D, canvasSize, isReadBack, type PaintKit, paintPicture, type Signal } from "./paint.ts";

interface Copy {
  readonly canvas: HTMLCanvasElement;
  inUse: boolean;
}

interface Entry {
  readonly picture: Picture;
  copies: Copy[];
}

/** Bytes of idle plates kept for the next time. Those in use are on screen and always kept. */
const IDLE_BYTES = 160 * 1024 * 1024;
/** Digits come several at a time and change every second: a few idle copies of small plates are kept. */
const SMALL_BYTES = 256 * 1024;
const IDLE_SMALL_COPIES = 3;

/**
 * Pictures drawn once, as canvases, by content key and scale. A plate is lent to a stage and comes back idle;
 * the idle ones least lately used are dropped when they hold more than a fixed number of bytes.
 */
export class PlateCache {
  readonly kit: PaintKit;
  readonly scale: number;
  readonly signal: Signal;
  readonly #entries = new Map<string, Entry>();
  /** How many plates had to be painted when they were already wanted on screen. */
  coldPaints = 0;

  constructor(kit: PaintKit, scale: number, signal: Signal = "fill") {
    this.kit = kit;
    this.scale = scale;
    this.signal = signal;
  }

  has({ key }: Plate): boolean {
    return this.#entries.has(key);
  }

  /** Paints a plate ahead of its take. */
  preload({ key, picture }: Plate): void {
    if (this.#entries.has(key)) return;
    this.#entries.set(key, { picture, copies: [{ canvas: this.#paint(picture), inUse: false }] });
    this.#dropIdle();
  }

  /** Keeps a plate that was painted elsewhere, at this cache's scale and signal. */
  keepPainted({ key, picture }: Plate, bitmap: ImageBitmap): void {
    if (this.#entries.has(key)) {
      bitmap.close();
      return;
    }
    const canvas = document.createElement("canvas");
    canvas.width = bitmap.width;
    canvas.height = bitmap.height;
    const context = canvas.getContext("bitmaprenderer");
    if (!context) throw new Error(`No bitmap context for a plate of ${bitmap.width}×${bitmap.height}`);
    context.transferFromImageBitmap(bitmap);
    this.#entries.set(key, { picture, copies: [{ canvas, inUse: false }] });
    this.#dropIdle();
  }

  /** Lends a canvas with the picture on it; give it back with `release`. */
  acquire({ key, picture }: Plate): HTMLCanvasElement {
    const entry = this.#entries.get(key) ?? { picture, copies: [] };
    let copy = entry.copies.find(({ inUse }) => !inUse);
    if (!copy) {
      this.coldPaints++;
      copy = { canvas: this.#paint(picture), inUse: false };
      entry.copies.push(copy);
    }
    copy.inUse = true;
    this.#entries.delete(key);
    this.#entries.set(key, entry);
    return copy.canvas;
  }

  release(key: string, canvas: HTMLCanvasElement): void {
    const entry = this.#entries.get(key);
    if (!entry) return;
    const copy = entry.copies.find((candidate) => candidate.canvas === canvas);
    if (copy) copy.inUse = false;
    let kept = bytesOf(canvas) <= SMALL_BYTES ? IDLE_SMALL_COPIES : 1;
    entry.copies = entry.copies.filter(({ inUse }) => inUse || kept-- > 0);
    this.#dropIdle();
  }

  /** A picture file has come: plates that were painted without it are painted again, where they stand. */
  repaint(file: string): void {
    for (const { picture, copies } of this.#entries.values())
      if (filesOf(picture).includes(file)) for (const { canvas } of copies) this.paintOn(canvas, picture);
  }

  /** Bytes of all plates held. */
  get bytes(): number {
    let sum = 0;
    for (const { copies } of this.#entries.values()) for (const { canvas } of copies) sum += bytesOf(canvas);
    return sum;
  }

  #dropIdle(): void {
    let idleBytes = 0;
    for (const [key, { copies }] of [...this.#entries].reverse()) {
      for (const { canvas, inUse } of copies) if (!inUse) idleBytes += bytesOf(canvas);
      if (idleBytes > IDLE_BYTES && copies.every(({ inUse }) => !inUse)) this.#entries.delete(key);
    }
  }

  #paint(picture: Picture): HTMLCanvasElement {
    const canvas = document.createElement("canvas");
    this.paintOn(canvas, picture);
    return canvas;
  }

  /** Paints a picture on a canvas, which becomes as large as it takes. */
  paintOn(canvas: HTMLCanvasElement, picture: Picture): void {
    const { widthPx, heightPx } = canvasSize(picture, this.scale);
    // A blurred one is read back once: better it is kept where that is cheap.
    const context = canvas.getContext("2d", { willReadFrequently: isReadBack(picture) });
    if (!context) throw new Error(`No 2D context for a plate of ${widthPx}×${heightPx}`);
    if (canvas.width !== widthPx || canvas.height !== heightPx) {
      canvas.width = widthPx;
      canvas.height = heightPx;
    } else {
      context.setTransform(1, 0, 0, 1, 0, 0);
      context.clearRect(0, 0, widthPx, heightPx);
    }
    paintPicture(context as Canvas2D, picture, this.scale, this.kit, this.signal);
  }
}

const bytesOf = ({ width, height }: HTMLCanvasElement) => width * height * 4;
