import { expect, test } from "vitest";
import { HARBOUR_LAMP } from "../../../test-support/designs.ts";
import { contrastsOf } from "./styleContrast.ts";

const withColors = (colors: Readonly<Record<string, string>>) =>
  contrastsOf({ ...HARBOUR_LAMP, colors: { ...HARBOUR_LAMP.colors, ...colors } });
const pair = (colors: Readonly<Record<string, string>>, over: string, under: string) =>
  withColors(colors).find((each) => each.over === over && each.under === under);

// Known from the standard's examples and its formula: black on white 21, #767676 the darkest grey that is enough, #777777 just not.
test.each([
  ["#000000", "#ffffff", 21, "best"],
  ["#595959", "#ffffff", 7, "best"],
  ["#767676", "#ffffff", 4.54, "enough"],
  ["#777777", "#ffffff", 4.48, "large"],
  ["#949494", "#ffffff", 3.03, "large"],
  ["#aaaaaa", "#ffffff", 2.32, "little"],
] as const)("words of %s on %s: %d to 1, %s", (words, ground, ratio, legibility) => {
  const found = pair({ words, ground }, "words", "ground");
  expect(found?.ratio).toBeCloseTo(ratio, 2);
  expect(found?.legibility).toBe(legibility);
});

test("a mark may be fainter than words; what a style has no colour for is not told", () => {
  expect(pair({ accent: "#949494", ground: "#ffffff" }, "accent", "ground")?.legibility).toBe("enough");
  const { rise: _rise, ...colors } = HARBOUR_LAMP.colors;
  expect(contrastsOf({ ...HARBOUR_LAMP, colors }).some(({ under }) => under === "rise")).toBe(false);
});
