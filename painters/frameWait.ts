/** A wait shorter than this is waited frame by frame: a timer may come too late for it. */
const SHORTEST_SLEEP_MS = 25;
/** A timer may come this late. */
const TIMER_LATE_MS = 10;

/**
 * Waits for the first frame of the window after a while, asleep for most of it: asking at every frame costs the window a pass through
 * its page each time, though nothing is drawn.
 */
export class FrameWait {
  readonly #draw: () => void;
  #frame = 0;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(draw: () => void) {
    this.#draw = draw;
  }

  /** The next frame. */
  next(): void {
    clearTimeout(this.#timer);
    this.#timer = undefined;
    if (this.#frame === 0)
      this.#frame = requestAnimationFrame(() => {
        this.#frame = 0;
        this.#draw();
      });
  }

  /** A frame not long before that time is up; whoever draws says whether it is. */
  in(ms: number): void {
    if (this.#frame !== 0) return;
    clearTimeout(this.#timer);
    if (ms < SHORTEST_SLEEP_MS) this.next();
    else this.#timer = setTimeout(() => this.next(), ms - TIMER_LATE_MS);
  }

  stop(): void {
    clearTimeout(this.#timer);
    this.#timer = undefined;
    cancelAnimationFrame(this.#frame);
    this.#frame = 0;
  }
}
