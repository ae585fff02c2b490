import { expect, test } from "vitest";
import { rangeOfDays } from "./days.ts";

const HOUR_MS = 3_600_000;
const hours = (from: string, until: string, timeZone: string) => {
  const range = rangeOfDays(from, until, timeZone);
  return range && (range.untilMs + 1 - range.fromMs) / HOUR_MS;
};

test("days are whole, in the show's zone, on days the clocks change too", () => {
  expect(rangeOfDays("2026-11-30", "2026-11-30", "UTC")).toEqual({
    fromMs: Date.UTC(2026, 10, 30),
    untilMs: Date.UTC(2026, 11, 1) - 1,
  });
  expect(hours("2026-03-29", "2026-03-29", "Europe/Berlin")).toBe(23);
  expect(hours("2026-10-25", "2026-10-25", "Europe/Berlin")).toBe(25);
  expect(hours("2026-01-01", "2026-12-31", "Pacific/Auckland")).toBe(365 * 24);
  // Its clocks go on at midnight: the day begins at one.
  expect(hours("2026-03-08", "2026-03-08", "America/Havana")).toBe(23);
});

test("what is no day, and a last day before the first, make no stretch of time", () => {
  for (const [from, until] of [
    ["2026-02-31", "2026-03-01"],
    ["", "2026-03-01"],
    ["2026-03-02", "2026-03-01"],
    ["0026-03-02", "2026-03-01"],
    ["2026-03-01", "tomorrow"],
  ] as const)
    expect(rangeOfDays(from, until, "UTC")).toBeUndefined();
});
