import { expect, test } from "vitest";
import { endsAtZero, stayEndsAt } from "./stayEnd.ts";

const at = Date.parse("2026-11-28T18:00:00Z");
const page = (more: object) => ({ stayMs: null, leavesAtZeroOf: "", values: {}, ...more });

test("a page leaves after its stay, a second after its countdown is at zero, or at whichever is first", () => {
  const ends = (more: object) => stayEndsAt(page(more), at, "Europe/Lisbon");
  expect(ends({})).toBeNull();
  expect(ends({ stayMs: 8_000 })).toBe(at + 8_000);
  const countdown = { leavesAtZeroOf: "to", values: { to: "5 min" } };
  expect(ends(countdown)).toBe(at + 301_000);
  expect(ends({ ...countdown, stayMs: 8_000 })).toBe(at + 8_000);
  expect(ends({ leavesAtZeroOf: "to", values: { to: "19:00" } })).toBe(at + 3_601_000);
  const byZero = (more: object) => endsAtZero(page({ ...countdown, ...more }), at, "Europe/Lisbon");
  expect([byZero({}), byZero({ stayMs: 8_000 }), byZero({ stayMs: 400_000 })]).toEqual([true, false, true]);
  // A day of last year was zero all along.
  expect(ends({ leavesAtZeroOf: "to", values: { to: "2025-11-28 18:00" } })).toBeNull();
  // What nobody can read does not make it go.
  expect(ends({ leavesAtZeroOf: "to", values: { to: "when the boats are in" } })).toBeNull();
});
