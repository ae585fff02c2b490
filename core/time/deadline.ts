/**
 * Calls something off when it takes too long, or when another signal ends. What was begun with it says when it is done.
 *
 * Not `AbortSignal.any`: a signal that lives long keeps something of every signal that was made of it.
 */
export class Deadline {
  readonly #controller = new AbortController();
  readonly #timer: ReturnType<typeof setTimeout>;
  readonly #other: AbortSignal | undefined;
  #isLate = false;

  /** @param other also calls it off */
  constructor(afterMs: number, other?: AbortSignal) {
    this.#other = other;
    this.#timer = setTimeout(() => {
      this.#isLate = true;
      this.#controller.abort();
    }, afterMs);
    if (other?.aborted) this.#end();
    else other?.addEventListener("abort", this.#end);
  }

  get signal(): AbortSignal {
    return this.#controller.signal;
  }

  /** It took too long. */
  get isLate(): boolean {
    return this.#isLate;
  }

  /** What was begun is done: nothing is left that waits for it. */
  done(): void {
    clearTimeout(this.#timer);
    this.#other?.removeEventListener("abort", this.#end);
  }

  readonly #end = (): void => this.#controller.abort();
}
