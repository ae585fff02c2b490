import { describe, expect, it } from "vitest";
import { mulberry } from "../../test-support/random.ts";
import { framesForOne, paceOf, screenHzOf } from "./pace.ts";

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
});

describe("how an output draws", () => {
  const FULL_HD = 1920 * 1080;
  const UHD = 3840 * 2160;
  const pace = (rate: Parameters<typeof paceOf>[0], screenHz: number | null, more = {}) =>
    paceOf(rate, { screenHz, hasGpu: null, pixels: FULL_HD, framesForOne: null, ...more });

  it("as the screen draws where both are the same but for a thousandth", () => {
    expect(pace("60", null)).toEqual({ clockMs: null, perSecond: 60, everyNth: 1 });
    expect(pace("60", 59.94).clockMs).toBeNull();
    expect(pace("59.94", 60).clockMs).toBeNull();
    expect(pace("60", 59.94).perSecond).toBe(59.94);
    expect(pace("50", 50).clockMs).toBeNull();
  });

  it("by the clock where the output is slower than the screen", () => {
    expect(pace("25", 60).clockMs).toBe(40);
    expect(pace("50", null).clockMs).toBe(20);
    expect(pace("60", 120).clockMs).toBeCloseTo(16.667, 3);
    expect(pace("60", 144).perSecond).toBe(60);
  });

  it("no more often than the screen", () => {
    expect(pace("60", 30)).toEqual({ clockMs: null, perSecond: 30, everyNth: 1 });
    expect(pace("60", 50).perSecond).toBe(50);
  });

  it("as slowly as it was seen to, but not below a quarter", () => {
    const large = { hasGpu: false, pixels: UHD };
    expect(pace("60", 60, { ...large, framesForOne: 1 }).clockMs).toBeNull();
    expect(pace("60", 60, { ...large, framesForOne: 3 }).perSecond).toBe(20);
    expect(pace("60", 60, { ...large, framesForOne: 9 }).perSecond).toBe(15);
    expect(framesForOne(90, 0, 2)).toBe(2);
    expect(framesForOne(90, 9, 2)).toBe(2);
    expect(framesForOne(90, 60, 2)).toBe(4);
    expect(framesForOne(90, 15, 1)).toBe(1);
  });

  it("every second frame of a large picture that no graphics processor draws", () => {
    const halved = pace("60", 60, { hasGpu: false, pixels: UHD });
    expect(halved.everyNth).toBe(2);
    expect(halved.perSecond).toBe(30);
    expect(halved.clockMs).toBeCloseTo(33.333, 3);
    expect(pace("60", 60, { hasGpu: false, pixels: 7680 * 1080 }).everyNth).toBe(2);
    expect(pace("60", 60, { hasGpu: true, pixels: UHD }).everyNth).toBe(1);
    expect(pace("60", 60, { hasGpu: null, pixels: UHD }).everyNth).toBe(1);
    expect(pace("60", 60, { hasGpu: false, pixels: FULL_HD }).everyNth).toBe(1);
    expect(pace("60", 30, { hasGpu: false, pixels: UHD })).toEqual({
      clockMs: null,
      perSecond: 30,
      everyNth: 1,
    });
    expect(pace("25", 60, { hasGpu: false, pixels: UHD }).everyNth).toBe(1);
    expect(pace("60", 50, { hasGpu: false, pixels: UHD })).toEqual({
      clockMs: 40,
      perSecond: 25,
      everyNth: 2,
    });
  });
});
