import { randomInt } from "node:crypto";
import type { Guesses } from "./guesses.ts";

const LASTS_MS = 10 * 60_000;
/** A code that so many wrong ones were tried against is over: a million codes cannot be tried from many addresses either. */
const MOST_TRIES_AGAINST = 500;

/** What a code opens on the device that it is typed on. */
export interface Opened {
  readonly kind: "output" | "entry" | "remote";
  readonly id: string;
}

/** Short codes that a person types on a device: to make it an output or a remote, or to enter a table. Each works once, for ten minutes. */
export class Pairing {
  readonly #now: () => number;
  readonly #guesses: Guesses;
  readonly #codes = new Map<string, { readonly opens: Opened; readonly untilMs: number }>();
  #wrong = 0;

  constructor(now: () => number, guesses: Guesses) {
    this.#now = now;
    this.#guesses = guesses;
  }

  codeFor(opens: Opened): string {
    for (const [code, known] of this.#codes)
      if ((known.opens.kind === opens.kind && known.opens.id === opens.id) || known.untilMs < this.#now())
        this.#codes.delete(code);
    if (this.#codes.size === 0) this.#wrong = 0;
    let code: string;
    do code = String(randomInt(1_000_000)).padStart(6, "0");
    while (this.#codes.has(code));
    this.#codes.set(code, { opens, untilMs: this.#now() + LASTS_MS });
    return code;
  }

  /** What a code opens; how long to wait when too many were tried from there. */
  redeem(code: string, address: string): Opened | { readonly waitMs: number } | undefined {
    const waitMs = this.#guesses.waitMs(address);
    if (waitMs > 0) return { waitMs };
    const known = this.#codes.get(code);
    if (!known || known.untilMs < this.#now()) {
      this.#guesses.wrong(address);
      this.#wrong++;
      if (this.#wrong > MOST_TRIES_AGAINST) this.#codes.clear();
      return undefined;
    }
    this.#codes.delete(code);
    this.#guesses.right(address);
    return known.opens;
  }
}
