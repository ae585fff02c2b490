import { log } from "../log/log.ts";

const EVERY_MS = 250;
/** Later than this, something held the server's thread: a take would have waited for it. */
const STALL_MS = 150;
const TOLD_MS = 1_000;

/** Watches for times in which the server's own thread did not come to its work. */
export class Stalls {
  readonly #listeners = new Set<(ms: number) => void>();
  #timer: ReturnType<typeof setInterval> | undefined;
  #lastMs = 0;
  count = 0;
  longestMs = 0;

  /** Told of each, by how long it was. */
  onStall(listener: (ms: number) => void): void {
    this.#listeners.add(listener);
  }

  /** From now on somebody waits; what held the thread before was the start. */
  begin(): void {
    this.#lastMs = performance.now();
    this.#timer = setInterval(() => this.look(), EVERY_MS);
    this.#timer.unref();
  }

  close(): void {
    clearInterval(this.#timer);
  }

  /** Looks now: whoever judges others by their silence asks first whether the silence was its own. */
  look(): void {
    if (!this.#timer) return;
    const nowMs = performance.now();
    const lateMs = nowMs - this.#lastMs - EVERY_MS;
    this.#lastMs = nowMs;
    if (lateMs < STALL_MS) return;
    this.count++;
    this.longestMs = Math.max(this.longestMs, lateMs);
    if (lateMs > TOLD_MS) log.warn(`The server stood still for ${Math.round(lateMs)} ms`);
    for (const listener of this.#listeners) listener(lateMs);
  }
}
