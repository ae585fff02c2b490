import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { FRAME_RATES } from "../time/timecode.ts";
import { crawlFigures, pxPerSecondOf, travelPx, wordsPerMinute } from "./rate.ts";
import { atSpeed, copiesAt, endsAtMs, headAt, joinBehind, type StripRun } from "./strip.ts";

describe("crawl arithmetic", () => {
  // Common practice: travel is the width of the output plus that of the text, duration is travel over rate.
  test("worked by hand: 10 px a frame, 1920 px wide, 3000 px of text", () => {
    const travel = travelPx(1_920, 3_000);
    expect(travel).toBe(4_920);
    const at25 = crawlFigures({ kind: "pxPerFrame", px: 10 }, travel, FRAME_RATES["25"]);
    expect(at25).toEqual({ pxPerFrame: 10, pxPerSecond: 250, passSeconds: 19.68 });
    const at2997 = crawlFigures({ kind: "pxPerFrame", px: 10 }, travel, FRAME_RATES["29.97"]);
    // 10 × 30000/1001 px/s; 492 frames of 1001/30000 s.
    expect(at2997.pxPerSecond).toBeCloseTo(299.7003, 4);
    expect(at2997.passSeconds).toBeCloseTo((492 * 1_001) / 30_000, 9);
    expect(crawlFigures({ kind: "pxPerFrame", px: 4 }, travel, FRAME_RATES["59.94"]).passSeconds).toBeCloseTo(
      (1_230 * 1_001) / 60_000,
      9,
    );
  });

  test("seed 4: each figure gives the others back", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        fc.integer({ min: 100, max: 40_000 }),
        fc.constantFrom(...Object.values(FRAME_RATES)),
        (px, travel, rate) => {
          const first = crawlFigures({ kind: "pxPerFrame", px }, travel, rate);
          for (const again of [
            crawlFigures({ kind: "pxPerSecond", px: first.pxPerSecond }, travel, rate),
            crawlFigures({ kind: "passSeconds", seconds: first.passSeconds }, travel, rate),
          ]) {
            expect(again.pxPerFrame).toBeCloseTo(px, 6);
            expect(again.passSeconds).toBeCloseTo(first.passSeconds, 6);
          }
        },
      ),
      { seed: 4 },
    );
  });

  test("a crawl that does not move is refused; reading speed counts words against their time", () => {
    expect(() => pxPerSecondOf({ kind: "pxPerFrame", px: 0 }, 100, FRAME_RATES["25"])).toThrow(/must move/);
    // 20 words on 2 000 px at 200 px/s pass in ten seconds: 120 words a minute.
    expect(wordsPerMinute(20, 2_000, 200)).toBeCloseTo(120, 9);
    expect(wordsPerMinute(20, 0, 200)).toBe(0);
  });
});

const run = (more: Partial<StripRun> = {}): StripRun => ({
  startMs: 1_000,
  pxPerMs: 0.2,
  boxPx: 1_000,
  lengthPx: 600,
  gapPx: 100,
  passes: null,
  ...more,
});

describe("a strip on its way", () => {
  test("begins and ends fully outside its box", () => {
    const once = run({ passes: 1 });
    expect(copiesAt(once, 1_000)).toEqual([]);
    expect(copiesAt(once, 1_005)).toEqual([{ copy: 0, headPx: 1 }]);
    // 1 600 px of way at 0.2 px/ms: 8 s.
    expect(endsAtMs(once)).toBe(9_000);
    expect(copiesAt(once, 8_995)).toHaveLength(1);
    expect(copiesAt(once, 9_000)).toEqual([]);
    expect(copiesAt(once, 99_000)).toEqual([]);
  });

  test("passes follow one another by the gap; a crawl without end always has something in its box", () => {
    const two = run({ passes: 2 });
    expect(endsAtMs(two)).toBe(1_000 + (1_000 + 1_200 + 100) / 0.2);
    const [first, second] = copiesAt(two, 1_000 + 800 / 0.2);
    expect((first?.headPx ?? 0) - (second?.headPx ?? 0)).toBe(700);
    expect(endsAtMs(run())).toBe(Number.POSITIVE_INFINITY);
    for (let t = 1_100; t < 200_000; t += 333) expect(copiesAt(run(), t).length).toBeGreaterThan(0);
    expect(endsAtMs(run({ lengthPx: 0, passes: 3 }))).toBe(1_000);
  });

  test("seed 22: at another speed a strip goes on from where it is, and ends when the rest of its way is done", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20_000 }),
        fc.double({ min: 0.01, max: 4, noNaN: true }),
        fc.integer({ min: 1, max: 5_000 }),
        (afterMs, pxPerMs, lengthPx) => {
          const before = run({ lengthPx, passes: 3 });
          const atMs = before.startMs + afterMs;
          const after = atSpeed(before, pxPerMs, atMs);
          expect(headAt(after, atMs)).toBeCloseTo(headAt(before, atMs), 6);
          expect(headAt(after, atMs + 1_000) - headAt(after, atMs)).toBeCloseTo(pxPerMs * 1_000, 6);
          const left = (endsAtMs(before) - atMs) * before.pxPerMs;
          expect((endsAtMs(after) - atMs) * pxPerMs).toBeCloseTo(left, 4);
        },
      ),
      { seed: 22 },
    );
    // One that has not begun begins when it was to.
    expect(atSpeed(run(), 0.5, 400)).toEqual(run({ pxPerMs: 0.5 }));
  });

  test("seed 21: new text joins behind what is visible: nothing seen jumps, nothing overlaps, the gap is kept", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60_000 }),
        fc.integer({ min: 10, max: 5_000 }),
        fc.integer({ min: 0, max: 400 }),
        (afterMs, lengthPx, gapPx) => {
          const old = run({ lengthPx });
          const atMs = old.startMs + afterMs;
          const { old: cut, startMs } = joinBehind(old, gapPx, atMs);
          // What could be seen is still where it was.
          expect(copiesAt(cut, atMs)).toEqual(copiesAt(old, atMs));
          expect(startMs).toBeGreaterThanOrEqual(atMs);
          const next = run({ lengthPx: 300, startMs });
          for (const t of [startMs + 1, startMs + 700, startMs + 3_000]) {
            const last = copiesAt(cut, t).at(-1);
            if (last) expect(last.headPx - lengthPx - headAt(next, t)).toBeGreaterThanOrEqual(gapPx - 1e-6);
          }
          // It comes as soon as it may: at once when nothing was seen, else right behind the gap.
          const shown = copiesAt(old, atMs).at(-1);
          if (shown && startMs > atMs) {
            const tail = shown.headPx + (startMs - atMs) * old.pxPerMs - lengthPx;
            expect(tail).toBeCloseTo(gapPx, 6);
          }
          if (!shown) expect(startMs).toBe(atMs);
        },
      ),
      { seed: 21 },
    );
  });
});
