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

  test("is exact at its ends and held beyond them", () => {
    for (const [easing] of NAMED) {
      expect(easeAt(easing, 0)).toBe(0);
      expect(easeAt(easing, 1)).toBe(1);
      expect(easeAt(easing, -3)).toBe(0);
      expect(easeAt(easing, 7)).toBe(1);
    }
  });
});
