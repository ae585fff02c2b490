import type { Plate } from "../core/scene/part.ts";
import type { PlateCache } from "./plateCache.ts";

/** The plates that a stage on one canvas draws from: lent for as long as it needs them from drawing to drawing. */
export class LentPlates {
  readonly #plates: PlateCache;
  readonly #lent = new Map<string, HTMLCanvasElement>();
  #used = new Set<string>();

  constructor(plates: PlateCache) {
    this.#plates = plates;
  }

  readonly painted = (plate: Plate): HTMLCanvasElement => {
    this.#used.add(plate.key);
    const lent = this.#lent.get(plate.key) ?? this.#plates.acquire(plate);
    this.#lent.set(plate.key, lent);
    return lent;
  };

  /** Ends a drawing: what it did not need is given back. */
  giveBack(): void {
    for (const [key, canvas] of this.#lent)
      if (!this.#used.has(key)) {
        this.#lent.delete(key);
        this.#plates.release(key, canvas);
      }
    this.#used = new Set();
  }
}
