import bezierEasing from "bezier-easing";
import { describe, expect, test } from "vitest";
import { type Easing, easeAt } from "./easing.ts";

/** Source: CSS Easing Functions Level 1, section 2.2: the control points of the named curves. */
const NAMED: readonly (readonly [Easing, number, number, number, number])[] = [
  ["ease", 0.25, 0.1, 0.25, 1],
  ["ease-in", 0.42, 0, 1, 1],
  ["ease-out", 0, 0, 0.58, 1],
  ["ease-in-out", 0.42, 0, 0.58, 1],
  [{ kind: "bezier", x1: 0.16, y1: 0.9, x2: 0.3, y2: 1 }, 0.16, 0.9, 0.3, 1],
  [{ kind: "bezier", x1: 0.6, y1: -0.4, x2: 0.3, y2: 1.6 }, 0.6, -0.4, 0.3, 1.6],
];

describe("easing", () => {
  test.each(NAMED)("%s agrees with the reference library at 1,000 points", (easing, x1, y1, x2, y2) => {
    const reference = bezierEasing(x1, y1, x2, y2);
    for (let i = 0; i <= 1_000; i++)
      expect(Math.abs(easeAt(easing, i / 1_000) - reference(i / 1_000))).toBeLessThan(1e-4);
  });

  // Source: CSS Easing Functions Level 1, section 2.3: the steps of jump-start and jump-end.
  test("steps jump as in CSS", () => {
    const end: Easing = { kind: "steps", count: 4, jump: "end" };
    const start: Easing = { kind: "steps", count: 4, jump: "start" };
    expect([0.1, 0.25, 0.4, 0.99].map((p) => easeAt(end, p))).toEqual([0, 0.25, 0.25, 0.75]);
    expect([0.1, 0.25, 0.4, 0.99].map((p) => easeAt(start, p))).toEqual([0.25, 0.5, 0.5, 1]);
  });

  test("a spring swings past its end and comes to rest on it", () => {
    const spring: Easing = { kind: "spring", swings: 1.25, damping: 6 };
    const values = Array.from({ length: 101 }, (_, i) => easeAt(spring, i / 100));
    expect(Math.max(...values)).toBeGreaterThan(1.02);
    expect(Math.abs((values[99] ?? 0) - 1)).toBeLessThan(0.02);
    // No step of a hundredth is a jump.
    for (let i = 1; i < values.length; i++)
      expect(Math.abs((values[i] as number) - (values[i - 1] as number))).toBeLessThan(0.12);
  });

  test("is exact at its ends and held beyond them", () => {
    const others: Easing[] = [
      "linear",
      { kind: "steps", count: 5, jump: "start" },
      { kind: "spring", swings: 2, damping: 4 },
    ];
    for (const easing of [...NAMED.map(([named]) => named), ...others]) {
      expect(easeAt(easing, 0)).toBe(0);
      expect(easeAt(easing, 1)).toBe(1);
      expect(easeAt(easing, -3)).toBe(0);
      expect(easeAt(easing, 7)).toBe(1);
    }
  });
});
