import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { followClock, type SteadyClock, startClock } from "./steadyClock.ts";

const timeOf = (clock: SteadyClock, steadyMs: number) => steadyMs + clock.offsetMs;

describe("the show's clock", () => {
  test("follows a small correction slowly, both ways", () => {
    for (const by of [120, -120]) {
      let clock = startClock(0, 1_000_000, 0);
      for (let s = 1; s <= 10; s++) clock = followClock(clock, s * 1_000, 1_000_000 + s * 1_000 + by).clock;
      expect(timeOf(clock, 10_000) - 1_010_000).toBeCloseTo(Math.sign(by) * 50, 6);
      for (let s = 11; s <= 60; s++) clock = followClock(clock, s * 1_000, 1_000_000 + s * 1_000 + by).clock;
      expect(timeOf(clock, 60_000)).toBeCloseTo(1_060_000 + by, 6);
    }
  });

  test("goes on at once after sleep, and says by how much", () => {
    const clock = startClock(0, 1_000_000, 0);
    const { clock: after, change } = followClock(clock, 1_000, 1_000_000 + 1_000 + 3_600_000);
    expect(change).toEqual({ kind: "wentOn", byMs: 3_600_000 });
    expect(timeOf(after, 1_000)).toBe(4_601_000);
  });

  test("a clock that is set back an hour puts nothing into the future, and is told", () => {
    const clock = startClock(0, 10_000_000, 0);
    const { clock: after, change } = followClock(clock, 1_000, 10_001_000 - 3_600_000);
    expect(change).toEqual({ kind: "ahead", byMs: 3_600_000 });
    expect(timeOf(after, 1_000)).toBeGreaterThan(10_000_990);
  });

  test("a start begins no earlier than what was written last", () => {
    expect(timeOf(startClock(500, 1_000, 9_000), 500)).toBe(9_000);
    expect(timeOf(startClock(500, 10_000, 9_000), 500)).toBe(10_000);
  });

  test("whatever the machine's clock does, time never goes back", { timeout: 60_000 }, () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 5_000 }), fc.integer({ min: -1e7, max: 1e7 })), {
          maxLength: 60,
        }),
        (looks) => {
          let steady = 0;
          let clock = startClock(0, 1e9, 0);
          let last = timeOf(clock, 0);
          for (const [elapsed, jump] of looks) {
            steady += elapsed;
            clock = followClock(clock, steady, 1e9 + steady + jump).clock;
            const now = timeOf(clock, steady);
            // A look takes back at most the slew of the time that passed before it.
            expect(now).toBeGreaterThanOrEqual(last - 1e-6);
            last = now;
          }
        },
      ),
      { seed: 20261127, numRuns: 500 },
    );
  });
});
