import { FLASH_MS } from "../../core/venue/testPicture.ts";

const SECOND_MS = 1_000;
const TICK_HZ = 1_000;
const AHEAD_MS = 1_500;
const LOOK_MS = 400;
/** A sound device that takes longer to start is held back by the browser. */
const STARTS_WITHIN_MS = 5_000;

/** The window's way to sound: tells whether the browser lets it out, and ticks with the flash of a test picture. */
export class Ticks {
  readonly #nowMs: () => number;
  #context: AudioContext | undefined;
  #timer: ReturnType<typeof setInterval> | undefined;
  #scheduledTo = 0;
  #isAllowed = false;
  readonly #madeAtMs = performance.now();

  /** @param nowMs server time */
  constructor(nowMs: () => number) {
    this.#nowMs = nowMs;
  }

  /** Asks the browser for sound. "refused": it waits for a click in this window. */
  ask(): "starting" | "on" | "refused" {
    if (this.#isAllowed) return "on";
    this.#context ??= new AudioContext();
    if (this.#context.state === "running") {
      this.#isAllowed = true;
      // A context that runs costs processor time even in silence.
      if (this.#timer === undefined) void this.#context.suspend();
      return "on";
    }
    void this.#context.resume().catch(() => undefined);
    return performance.now() - this.#madeAtMs < STARTS_WITHIN_MS ? "starting" : "refused";
  }

  /** Ticks at each full second of the server's time, or is still. */
  set(isTicking: boolean): void {
    if (isTicking === (this.#timer !== undefined)) return;
    clearInterval(this.#timer);
    this.#timer = isTicking ? setInterval(() => this.#schedule(), LOOK_MS) : undefined;
    if (isTicking) {
      void this.#context?.resume().catch(() => undefined);
      this.#schedule();
    } else void this.#context?.suspend();
  }

  close(): void {
    this.set(false);
    void this.#context?.close();
  }

  #schedule(): void {
    if (this.ask() !== "on" || this.#context?.state !== "running") return;
    const nowMs = this.#nowMs();
    const { currentTime, destination } = this.#context;
    let atMs = Math.max(this.#scheduledTo + SECOND_MS, Math.ceil(nowMs / SECOND_MS) * SECOND_MS);
    for (; atMs < nowMs + AHEAD_MS; atMs += SECOND_MS) {
      const from = currentTime + (atMs - nowMs) / 1_000;
      const tone = new OscillatorNode(this.#context, { frequency: TICK_HZ });
      tone.connect(new GainNode(this.#context, { gain: 0.25 })).connect(destination);
      tone.start(from);
      tone.stop(from + FLASH_MS / 1_000);
      this.#scheduledTo = atMs;
    }
  }
}
