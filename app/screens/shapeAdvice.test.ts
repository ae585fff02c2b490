import { describe, expect, test } from "vitest";
import type { Output } from "../../core/venue/plan.ts";
import { STARTER_OUTPUTS } from "../../designs/starterScreens.ts";
import { shapeAdvice } from "./shapeAdvice.ts";

const [WALL] = STARTER_OUTPUTS as [Output];
const MADE = [
  { widthPx: 1920, heightPx: 1080 },
  { widthPx: 1080, heightPx: 1920 },
];

describe("a screen of a shape that no template has", () => {
  test.each([
    [1920, 1080, undefined],
    [1280, 720, undefined],
    [1080, 1920, undefined],
    [1024, 768, /words stand in the middle/],
    [2520, 1080, /words stand in the middle/],
  ])("%i by %i", (widthPx, heightPx, advice) => {
    const said = shapeAdvice({ ...WALL, widthPx, heightPx }, MADE);
    if (advice) expect(said).toMatch(advice);
    else expect(said).toBeUndefined();
  });

  test("one of two screens side by side", () => {
    const region = { canvasWidthPx: 3840, canvasHeightPx: 1080, xPx: 0, yPx: 0 };
    expect(shapeAdvice({ ...WALL, region }, MADE)).toMatch(/3840×1080.*whole on each of its screens/);
  });
});
