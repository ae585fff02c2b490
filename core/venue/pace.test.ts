import { describe, expect, it } from "vitest";
import { mulberry } from "../../test-support/random.ts";
import { needsGpu, paceOf, screenHzOf } from "./pace.ts";

/** Stamps of a screen as a browser gives them, to a tenth of a millisecond, some of them missed. */
function stamps(hz: number, count: number, missedShare: number, random: () => number): number[] {
  const all = Array.from({ length: count }, (_, i) => Math.round((10_000 * i) / hz) / 10);
  return all.filter((_, i) => i === 0 || i === count - 1 || random() >= missedShare);
}

describe("how often a screen draws", () => {
  for (const hz of [30, 50, 59.94, 60, 75, 100, 119.88, 120, 144])
    it(`${hz} Hz, also where a third of the frames is missed`, () => {
      const random = mulberry(Math.round(hz * 100));
      for (const missed of [0, 0.1, 0.33]) {
        const found = screenHzOf(stamps(hz, 240, missed, random));
        expect(found).not.toBeNull();
        // 59.94 and 60 are a thousandth apart.
        expect(Math.abs((found as number) - hz) / hz).toBeLessThan(0.0003);
      }
    });

  it("is not said from a few frames, from none that keep time, or from a clock that stands", () => {
    const random = mulberry(7);
    expect(screenHzOf([0, 16.7, 33.3])).toBeNull();
    let at = 0;
    expect(screenHzOf(Array.from({ length: 200 }, () => (at += 5 + 40 * random())))).toBeNull();
    expect(screenHzOf(Array.from({ length: 200 }, () => 5))).toBeNull();
  });

  it("is not said of a machine that misses most of them: half of a screen's rate would pass for all of it", () => {
    const random = mulberry(11);
    let at = 0;
    const busy = Array.from({ length: 130 }, () => {
      at += random() < 0.2 ? 16.7 : 33.3;
      return at;
    });
    expect(screenHzOf(busy)).toBeNull();
  });
});

describe("how an output draws", () => {
  it("as the screen draws where both are the same but for a thousandth", () => {
    expect(paceOf("60", null)).toEqual({ clockMs: null, perSecond: 60 });
    expect(paceOf("60", 59.94)).toEqual({ clockMs: null, perSecond: 59.94 });
    expect(paceOf("59.94", 60)).toEqual({ clockMs: null, perSecond: 60 });
    expect(paceOf("50", 50).clockMs).toBeNull();
  });

  it("by the clock where the output is slower than the screen", () => {
    expect(paceOf("25", 60)).toEqual({ clockMs: 40, perSecond: 25 });
    expect(paceOf("50", null).clockMs).toBe(20);
    expect(paceOf("60", 120).clockMs).toBeCloseTo(16.667, 3);
    expect(paceOf("60", 144).perSecond).toBe(60);
  });

  it("no more often than the screen", () => {
    expect(paceOf("60", 30)).toEqual({ clockMs: null, perSecond: 30 });
    expect(paceOf("60", 50)).toEqual({ clockMs: null, perSecond: 50 });
  });

  it("a graphics processor matters from more than two pictures of 1920 by 1080", () => {
    expect(needsGpu(3840 * 1080)).toBe(false);
    expect(needsGpu(3840 * 2160)).toBe(true);
    expect(needsGpu(7680 * 1080)).toBe(true);
  });
});
