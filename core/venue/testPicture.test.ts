import { describe, expect, test } from "vitest";
import { STARTER_OUTPUTS } from "../../test-support/designs.ts";
import { type Output, outputSchema } from "./plan.ts";
import { safeRect, TEST_PICTURES, testPicture } from "./testPicture.ts";

const wall = STARTER_OUTPUTS[0] as Output;

describe("test pictures", () => {
  // SMPTE ST 2046-1: safe action 93 %, safe title 90 % of width and height.
  test.each([
    [1920, 1080, { x: 67, y: 38, width: 1786, height: 1004 }, { x: 96, y: 54, width: 1728, height: 972 }],
    [1280, 720, { x: 45, y: 25, width: 1190, height: 670 }, { x: 64, y: 36, width: 1152, height: 648 }],
    [3840, 2160, { x: 135, y: 76, width: 3571, height: 2009 }, { x: 192, y: 108, width: 3456, height: 1944 }],
  ])("safe areas of %i × %i", (width, height, action, title) => {
    expect(safeRect(width, height, 0.93)).toEqual(action);
    expect(safeRect(width, height, 0.9)).toEqual(title);
  });

  test("bars cover the whole width with no gap, whatever it is", () => {
    for (const widthPx of [1920, 1280, 1366, 17, 3840]) {
      const bars = testPicture({ ...wall, widthPx }, "bars", 1)
        .slice(0, 8)
        .flatMap((shape) => (shape.kind === "rect" ? [shape] : []));
      expect(bars[0]?.x).toBe(0);
      for (const [i, bar] of bars.entries()) expect(bar.x + bar.width).toBe(bars[i + 1]?.x ?? widthPx);
    }
  });

  test("every picture says which screen it is on, or which number, at the smallest and the largest size", () => {
    for (const size of [16, 16_000])
      for (const name of TEST_PICTURES) {
        const shapes = testPicture(outputSchema.parse({ ...wall, widthPx: size, heightPx: size }), name, 7);
        const words = shapes.flatMap((shape) => (shape.kind === "text" ? [shape.words] : [])).join(" ");
        expect(words).toContain(name === "identify" ? "7" : wall.name);
        for (const shape of shapes)
          if (shape.kind === "rect") expect(Math.min(shape.width, shape.height)).toBeGreaterThanOrEqual(0);
      }
  });
});
