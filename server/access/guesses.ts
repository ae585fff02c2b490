import { isIPv6 } from "node:net";

/** Wrong guesses that cost nothing: people mistype. */
const FREE_GUESSES = 5;
const FIRST_WAIT_MS = 2_000;
const LONGEST_WAIT_MS = 5 * 60_000;
/** An address that has not guessed for this long begins anew. */
const FORGOTTEN_AFTER_MS = 15 * 60_000;
const MOST_REMEMBERED = 5_000;

/** Wrong guesses of a secret, by address: whoever guesses waits longer each time; nobody else does. */
export class Guesses {
  readonly #now: () => number;
  readonly #known = new Map<string, { readonly wrong: number; readonly lastMs: number }>();

  constructor(now: () => number) {
    this.#now = now;
  }

  /** How long this address has to wait before its next guess is looked at, ms; 0: not at all. */
  waitMs(address: string): number {
    const known = this.#known.get(keyOf(address));
    if (!known || known.wrong < FREE_GUESSES) return 0;
    const waits = Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (known.wrong - FREE_GUESSES));
    return Math.max(0, known.lastMs + waits - this.#now());
  }

  wrong(address: string): void {
    const key = keyOf(address);
    const known = this.#known.get(key);
    const isOld = known && this.#now() - known.lastMs > FORGOTTEN_AFTER_MS;
    this.#known.delete(key);
    this.#known.set(key, { wrong: (isOld ? 0 : (known?.wrong ?? 0)) + 1, lastMs: this.#now() });
    for (const oldest of this.#known.keys()) {
      if (this.#known.size <= MOST_REMEMBERED) break;
      this.#known.delete(oldest);
    }
  }

  right(address: string): void {
    this.#known.delete(keyOf(address));
  }
}

/** A house has one IPv4 address, or a whole /64 of IPv6 ones. */
export function keyOf(address: string): string {
  if (!isIPv6(address)) return address;
  const [head = "", tail] = address.split("::");
  const before = head.split(":").filter((part) => part !== "");
  const after = (tail ?? "").split(":").filter((part) => part !== "");
  const gap = tail === undefined ? [] : Array(Math.max(0, 8 - before.length - after.length)).fill("0");
  return [...before, ...gap, ...after]
    .slice(0, 4)
    .map((part) => part.replace(/^0+(?=.)/, ""))
    .join(":");
}
