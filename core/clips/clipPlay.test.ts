import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { type ClipPlay, clipEndsAtMs, clipPositionMs, hasEnded, timesAtPlace } from "./clipPlay.ts";

const play = (more: Partial<ClipPlay> = {}): ClipPlay => ({
  ...{ clipId: "a", title: "A", media: null, lengthMs: 60_000, atEnd: "hold", by: "here" },
  ...{ begunAtMs: 1_000, atMs: 1_000, fromMs: 0, isPaused: false, isOver: false },
  ...more,
});

describe("where a clip is", () => {
  test("by the clock; it stands still while it is paused, and at its end", () => {
    expect(clipPositionMs(play(), 31_000)).toBe(30_000);
    expect(clipPositionMs(play({ isPaused: true, fromMs: 12_000 }), 500_000)).toBe(12_000);
    expect(clipPositionMs(play(), 100_000)).toBe(60_000);
    expect(hasEnded(play(), 61_000)).toBe(true);
    expect(clipEndsAtMs(play(), 31_000)).toBe(61_000);
    expect(clipEndsAtMs(play({ isPaused: true }), 31_000)).toBeNull();
  });

  test("a loop has no end, and is where the rest of the rounds has it", () => {
    const loop = play({ atEnd: "loop" });
    expect(clipPositionMs(loop, 1_000 + 150_000)).toBe(30_000);
    expect(hasEnded(loop, 1e9)).toBe(false);
  });

  test("before its time it is at its place", () => expect(clipPositionMs(play(), 0)).toBe(0));
});

describe("when a clip comes to a place", () => {
  test("once, however the looks at the clock fall", () => {
    expect(timesAtPlace(play(), 10_000, 10_980, 11_000)).toEqual([11_000]);
    expect(timesAtPlace(play(), 10_000, 11_000, 11_020)).toEqual([]);
    expect(timesAtPlace(play(), 70_000, 0, 1e9)).toEqual([]);
    expect(timesAtPlace(play({ isPaused: true }), 10_000, 0, 1e9)).toEqual([]);
  });

  test("begun in its middle, it does not come to what lies before", () => {
    const begun = play({ atMs: 50_000, fromMs: 30_000 });
    expect(timesAtPlace(begun, 10_000, 0, 1e9)).toEqual([]);
    expect(timesAtPlace(begun, 40_000, 0, 1e9)).toEqual([60_000]);
  });

  test("seed 1711: in every round of a loop once, against a count of every millisecond", () => {
    fc.assert(
      fc.property(
        fc.record({
          lengthMs: fc.integer({ min: 20, max: 120 }),
          place: fc.integer({ min: 0, max: 120 }),
          fromMs: fc.integer({ min: 0, max: 19 }),
          since: fc.integer({ min: 0, max: 300 }),
          lasts: fc.integer({ min: 0, max: 200 }),
        }),
        ({ lengthMs, place, fromMs, since, lasts }) => {
          const loop = play({ atEnd: "loop", lengthMs, fromMs, atMs: 100 });
          const counted: number[] = [];
          for (let t = Math.max(since + 1, 100); t <= since + lasts; t++)
            if (
              (fromMs + t - 100) % lengthMs === place % lengthMs &&
              place <= lengthMs &&
              (place < lengthMs || fromMs + t - 100 > 0)
            )
              counted.push(t);
          expect(timesAtPlace(loop, place, since, since + lasts)).toEqual(counted);
        },
      ),
      { seed: 1711, numRuns: 500 },
    );
  });
});
