import { describe, expect, test } from "vitest";
import { UNKNOWN_CLOCK, updateClock } from "./serverClock.ts";

const sample = (sentAtMs: number, roundTripMs: number, offsetMs: number, skew = 0.5) => ({
  sentAtMs,
  receivedAtMs: sentAtMs + roundTripMs,
  serverAtMs: sentAtMs + roundTripMs * skew + offsetMs,
});

describe("the server's clock", () => {
  test("the first sample is believed at once", () => {
    expect(updateClock(UNKNOWN_CLOCK, sample(1_000, 10, 5_000)).offsetMs).toBe(5_000);
  });

  test("the smallest round trip wins, and its error is at most half of it", () => {
    let clock = updateClock(UNKNOWN_CLOCK, sample(1_000, 80, 5_000, 0.9));
    for (let i = 0; i < 20; i++)
      clock = updateClock(clock, sample(2_000 + i * 100, i === 4 ? 4 : 60, 5_000, i === 4 ? 0.8 : 0.1));
    expect(Math.abs(clock.offsetMs - 5_000)).toBeLessThanOrEqual(2);
  });

  test("corrections are slewed, so that nothing on screen jumps", () => {
    let clock = UNKNOWN_CLOCK;
    for (let i = 0; i < 10; i++) clock = updateClock(clock, sample(1_000 + i * 100, 40, 5_020));
    let before = clock.offsetMs;
    for (let i = 0; i < 15; i++) {
      clock = updateClock(clock, sample(2_000 + i * 100, 5, 5_000));
      expect(Math.abs(clock.offsetMs - before)).toBeLessThanOrEqual(2);
      before = clock.offsetMs;
    }
    expect(clock.offsetMs).toBeCloseTo(5_000, 6);
  });

  test("a window that was just opened was busy: a better sample is used at once", () => {
    const busy = updateClock(UNKNOWN_CLOCK, sample(1_000, 90, 5_000, 0.9));
    expect(busy.offsetMs).toBeCloseTo(5_036, 6);
    expect(updateClock(busy, sample(1_200, 1, 5_000)).offsetMs).toBeCloseTo(5_000, 6);
  });

  test("a clock that was set by hours is followed at once", () => {
    const clock = updateClock(UNKNOWN_CLOCK, sample(1_000, 5, 0));
    expect(updateClock(clock, sample(2_000, 8, 7_200_000)).offsetMs).toBeCloseTo(7_200_000, 3);
  });
});
