import type { Placement } from "../core/screens/compose.ts";
import type { PlateCache } from "./plateCache.ts";

interface Shown {
  readonly key: string;
  readonly canvas: HTMLCanvasElement;
}

/**
 * Composes plates as stacked elements: each plate is a canvas that the compositor moves, fades and clips. What
 * does not move costs nothing.
 */
export class ElementStage {
  readonly #root: HTMLElement;
  readonly #plates: PlateCache;
  readonly #scale: number;
  readonly #pixelRatio: number;
  #shown = new Map<string, Shown>();

  /**
   * @param root an element the size of the picture; the stage owns what is in it
   * @param scale device pixels to each output pixel; the plates must have the same
   */
  constructor(root: HTMLElement, plates: PlateCache, scale: number, pixelRatio: number) {
    this.#root = root;
    this.#plates = plates;
    this.#scale = scale;
    this.#pixelRatio = pixelRatio;
  }

  /** Shows exactly these placements, from the back to the front. */
  draw(placements: readonly Placement[]): void {
    const wanted = new Set(placements.map(({ piece }) => piece.id));
    for (const [id, shown] of this.#shown) if (!wanted.has(id)) this.#remove(id, shown);
    let before: HTMLCanvasElement | null = null;
    for (const placement of placements) {
      const canvas = this.#getCanvas(placement);
      const expected: Element | null = before ? before.nextElementSibling : this.#root.firstElementChild;
      if (expected !== canvas) this.#root.insertBefore(canvas, expected);
      this.#pose(canvas, placement);
      before = canvas;
    }
  }

  #getCanvas({ piece }: Placement): HTMLCanvasElement {
    const shown = this.#shown.get(piece.id);
    if (shown && shown.key === piece.key) return shown.canvas;
    if (shown) this.#remove(piece.id, shown);
    const canvas = this.#plates.acquire(piece.key, piece.picture);
    const { bounds } = piece.picture;
    const { style } = canvas;
    canvas.dataset.piece = piece.id;
    style.position = "absolute";
    style.left = this.#css(bounds.x * this.#scale);
    style.top = this.#css(bounds.y * this.#scale);
    style.width = this.#css(canvas.width);
    style.height = this.#css(canvas.height);
    this.#shown.set(piece.id, { key: piece.key, canvas });
    return canvas;
  }

  #pose(canvas: HTMLCanvasElement, { pose }: Placement): void {
    const { style } = canvas;
    const x = (pose.offsetXPx * this.#scale) / this.#pixelRatio;
    const y = (pose.offsetYPx * this.#scale) / this.#pixelRatio;
    const atRest = x === 0 && y === 0 && pose.scale === 1;
    set(style, "transform", atRest ? "none" : `translate(${x}px, ${y}px) scale(${pose.scale})`);
    set(style, "opacity", `${Math.max(0, Math.min(1, pose.opacity))}`);
    const clipped = pose.clipLeft > 0 || pose.clipTop > 0 || pose.clipRight > 0 || pose.clipBottom > 0;
    const percent = (fraction: number) => `${Math.max(0, Math.min(1, fraction)) * 100}%`;
    set(
      style,
      "clipPath",
      clipped
        ? `inset(${percent(pose.clipTop)} ${percent(pose.clipRight)} ${percent(pose.clipBottom)} ${percent(pose.clipLeft)})`
        : "none",
    );
  }

  #remove(id: string, shown: Shown): void {
    this.#shown.delete(id);
    shown.canvas.remove();
    this.#plates.release(shown.key, shown.canvas);
  }

  #css(devicePx: number): string {
    return `${devicePx / this.#pixelRatio}px`;
  }
}

/** Writing a style that stands already would still cost a style pass. */
function set(style: CSSStyleDeclaration, name: "transform" | "opacity" | "clipPath", value: string): void {
  if (style[name] !== value) style[name] = value;
}
