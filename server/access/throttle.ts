import { keyOf } from "./guesses.ts";

const MOST_REMEMBERED = 5_000;

/** So much at once, and so much more with every second, for each address: nobody takes the others' share. */
export class Throttle {
  readonly #burst: number;
  readonly #perSecond: number;
  readonly #now: () => number;
  readonly #known = new Map<string, { readonly left: number; readonly atMs: number }>();

  constructor(burst: number, perSecond: number, now: () => number) {
    this.#burst = burst;
    this.#perSecond = perSecond;
    this.#now = now;
  }

  /** Takes one from an address's share. @returns whether there was one */
  take(address: string): boolean {
    const key = keyOf(address);
    const known = this.#known.get(key);
    const nowMs = this.#now();
    const grown = known ? known.left + ((nowMs - known.atMs) / 1_000) * this.#perSecond : this.#burst;
    const left = Math.min(this.#burst, grown);
    this.#known.delete(key);
    this.#known.set(key, { left: left >= 1 ? left - 1 : left, atMs: nowMs });
    for (const oldest of this.#known.keys()) {
      if (this.#known.size <= MOST_REMEMBERED) break;
      this.#known.delete(oldest);
    }
    return left >= 1;
  }
}
