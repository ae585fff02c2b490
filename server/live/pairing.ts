import { randomInt } from "node:crypto";

const LASTS_MS = 10 * 60_000;
/** Wrong codes in a minute, from anywhere: a million codes cannot be tried. */
const MOST_TRIES_A_MINUTE = 20;

/** Short codes that a person types on a device to make it an output. Each works once, for ten minutes. */
export class Pairing {
  readonly #now: () => number;
  readonly #codes = new Map<string, { readonly outputId: string; readonly untilMs: number }>();
  #minute = 0;
  #tries = 0;

  constructor(now: () => number) {
    this.#now = now;
  }

  codeFor(outputId: string): string {
    for (const [code, known] of this.#codes)
      if (known.outputId === outputId || known.untilMs < this.#now()) this.#codes.delete(code);
    let code: string;
    do code = String(randomInt(1_000_000)).padStart(6, "0");
    while (this.#codes.has(code));
    this.#codes.set(code, { outputId, untilMs: this.#now() + LASTS_MS });
    return code;
  }

  /** The output that a code makes of a device; "tooMany" when too many were tried. */
  redeem(code: string): string | "tooMany" | undefined {
    const minute = Math.floor(this.#now() / 60_000);
    if (minute !== this.#minute) {
      this.#minute = minute;
      this.#tries = 0;
    }
    if (this.#tries >= MOST_TRIES_A_MINUTE) return "tooMany";
    const known = this.#codes.get(code);
    if (!known || known.untilMs < this.#now()) {
      this.#tries++;
      return undefined;
    }
    this.#codes.delete(code);
    return known.outputId;
  }
}
