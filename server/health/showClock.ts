import { t } from "../../core/language/t.ts";
import { followClock, type SteadyClock, startClock } from "../../core/time/steadyClock.ts";
import { log } from "../log/log.ts";

const LOOK_EVERY_MS = 500;
const TOLD_EVERY_MS = 30 * 60_000;

/** The time of the show, ms since 1970: steady, and following the machine's clock as far as the air allows. */
export class ShowClock {
  #clock: SteadyClock;
  readonly #wall: () => number;
  readonly #timer: ReturnType<typeof setInterval>;
  readonly #listeners = new Set<(sentence: string) => void>();
  #toldAtMs = Number.NEGATIVE_INFINITY;
  /** How far it is ahead of the machine's clock, which was set back; 0: not at all. */
  aheadMs = 0;

  /** @param aheadMs of this machine's clock, ms: where it goes on with the time of another machine */
  constructor(aheadMs = 0) {
    this.#wall = () => Date.now() + aheadMs;
    this.#clock = startClock(performance.now(), this.#wall(), 0);
    this.#timer = setInterval(() => this.#look(), LOOK_EVERY_MS);
    this.#timer.unref();
  }

  readonly now = (): number => performance.now() + this.#clock.offsetMs;

  /** Begins no earlier than this: what is on air was written down at it. */
  notBefore(floorMs: number): void {
    const behindMs = floorMs - this.now();
    if (behindMs <= 0) return;
    log.warn(
      `The machine’s clock is ${seconds(behindMs)} behind what the show was last written at; the show’s time goes on from there`,
    );
    this.#clock = startClock(performance.now(), this.#wall(), floorMs);
    this.aheadMs = behindMs;
  }

  /** Told in a sentence when the machine's clock was set, or the machine slept. */
  onJump(listener: (sentence: string) => void): void {
    this.#listeners.add(listener);
  }

  close(): void {
    clearInterval(this.#timer);
  }

  #look(): void {
    const steadyMs = performance.now();
    const { clock, change } = followClock(this.#clock, steadyMs, this.#wall());
    this.#clock = clock;
    this.aheadMs = change.kind === "ahead" ? change.byMs : 0;
    switch (change.kind) {
      case "followed":
        return;
      case "wentOn":
        this.#tell(
          t`The server’s clock went on by ${seconds(change.byMs)}: the machine slept, or its clock was set. Clocks on screen show the new time; what should have come by itself meanwhile was held.`,
        );
        return;
      case "ahead":
        if (steadyMs - this.#toldAtMs < TOLD_EVERY_MS) return;
        this.#toldAtMs = steadyMs;
        this.#tell(
          t`The server’s clock was set back by ${seconds(change.byMs)}. So that nothing on air jumps, clocks on screen keep the time they had and come nearer slowly.`,
        );
    }
  }

  #tell(sentence: string): void {
    log.warn(sentence);
    for (const listener of this.#listeners) listener(sentence);
  }
}

const seconds = (ms: number): string =>
  ms < 120_000 ? `${Math.round(ms / 1_000)} s` : t`${Math.round(ms / 60_000)} min`;
