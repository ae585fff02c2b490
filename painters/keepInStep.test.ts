import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { keepInStep } from "./keepInStep.ts";

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal("HTMLMediaElement", { HAVE_METADATA: 1 });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** A clip on a machine that takes its time for a jump, and while it jumps plays nothing. */
class SlowMedia extends EventTarget {
  readonly readyState = 4;
  readonly duration: number;
  readonly #jumpTakesMs: number;
  paused = true;
  seeking = false;
  playbackRate = 1;
  loop = false;
  jumps = 0;
  #atS = 0;

  constructor(duration: number, jumpTakesMs: number) {
    super();
    this.duration = duration;
    this.#jumpTakesMs = jumpTakesMs;
  }

  get currentTime(): number {
    return this.#atS;
  }

  set currentTime(atS: number) {
    this.#atS = atS;
    this.seeking = true;
    this.jumps++;
    setTimeout(() => {
      this.seeking = false;
      this.dispatchEvent(new Event("seeked"));
    }, this.#jumpTakesMs);
  }

  pause(): void {
    this.paused = true;
  }

  passes(ms: number): void {
    if (!this.paused && !this.seeking) this.#atS += (ms / 1_000) * this.playbackRate;
    if (this.loop) this.#atS %= this.duration;
  }
}

const FRAME_MS = 20;

/** Begins late by 0.6 s. @returns how far off it is at each frame of six seconds, s */
function play(media: SlowMedia, atEnd: "hold" | "loop", startS = 0.6): number[] {
  media.loop = atEnd === "loop";
  const offs: number[] = [];
  for (let positionMs = startS * 1_000; positionMs < startS * 1_000 + 6_000; positionMs += FRAME_MS) {
    const now = atEnd === "loop" ? positionMs % (media.duration * 1_000) : positionMs;
    const placement = { positionMs: now, isPlaying: true };
    const content = { durationMs: media.duration * 1_000, atEnd };
    keepInStep(media as unknown as HTMLMediaElement, placement, content, () => {
      media.paused = false;
    });
    offs.push(now / 1_000 - media.currentTime);
    vi.advanceTimersByTime(FRAME_MS);
    media.passes(FRAME_MS);
  }
  return offs;
}

test.each([0, 100, 400, 900])(
  "a clip that began late is in step soon, though a jump takes %i ms",
  (tookMs) => {
    const media = new SlowMedia(30, tookMs);
    const offs = play(media, "hold");
    expect(Math.max(...offs.slice(-50).map(Math.abs))).toBeLessThan(0.03);
    expect(media.jumps).toBeLessThanOrEqual(2);
  },
);

test("a clip that goes round jumps over its end into its beginning", () => {
  const media = new SlowMedia(3, 400);
  const offs = play(media, "loop", 2.5);
  expect(media.jumps).toBeLessThanOrEqual(2);
  expect(Math.min(...offs.slice(-20).map(Math.abs))).toBeLessThan(0.03);
});
