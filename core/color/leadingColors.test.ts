import { describe, expect, test } from "vitest";
import { leadingColors } from "./leadingColors.ts";

/** So many pixels of each colour, in this order. */
const picture = (...parts: readonly (readonly [count: number, rgba: readonly number[]])[]) =>
  parts.flatMap(([count, rgba]) => Array.from({ length: count }, () => rgba).flat());

describe("the colours that a picture is known by", () => {
  test("a mark on white paper gives the colours of the mark", () => {
    const pixels = picture(
      [9_000, [255, 255, 255, 255]],
      [600, [200, 30, 40, 255]],
      [400, [20, 80, 160, 255]],
      [60, [30, 30, 30, 255]],
    );
    expect(leadingColors(pixels, 2)).toEqual(["#c81e28", "#1450a0"]);
  });

  test("shades of one colour are one; what is seen through does not count", () => {
    const pixels = picture(
      [500, [10, 120, 90, 255]],
      [480, [18, 128, 96, 255]],
      [9_000, [255, 0, 255, 20]],
      [100, [240, 190, 20, 255]],
    );
    const [first, second, third] = leadingColors(pixels, 3);
    expect(first).toMatch(/^#(0a785a|12805f|128060)$/);
    expect(second).toBe("#f0be14");
    expect(third).toBeUndefined();
  });

  test("grey pictures give grey, empty ones nothing", () => {
    expect(leadingColors(picture([50, [120, 120, 120, 255]]), 2)).toEqual(["#787878"]);
    expect(leadingColors([], 2)).toEqual([]);
  });
});
