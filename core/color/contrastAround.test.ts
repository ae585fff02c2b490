import { wcagContrast } from "culori";
import { expect, test } from "vitest";
import { contrastAround } from "./contrastAround.ts";

type Rgba = readonly [number, number, number, number];
const WIDTH_PX = 24;
const HEIGHT_PX = 12;

/** Bars two pixels wide, six apart, on a ground; and the bars alone. */
function bars(ground: (row: number) => Rgba, bar: Rgba) {
  const isBar = (x: number) => x % 8 === 3 || x % 8 === 4;
  const pixels = (color: (x: number, y: number) => Rgba) => ({
    widthPx: WIDTH_PX,
    data: Array.from({ length: WIDTH_PX * HEIGHT_PX }, (_, i) =>
      color(i % WIDTH_PX, Math.floor(i / WIDTH_PX)),
    ).flat(),
  });
  return [
    pixels((x, y) => (isBar(x) ? bar : ground(y))),
    pixels((x) => (isBar(x) ? [255, 255, 255, 255] : [0, 0, 0, 0])),
  ] as const;
}
const on = (ground: Rgba, bar: Rgba) => contrastAround(...bars(() => ground, bar));
const WHITE: Rgba = [255, 255, 255, 255];

// The standard's own examples: 21, the darkest grey that is enough on white, and what culori's own implementation says.
test.each([
  [WHITE, [0, 0, 0, 255], 21],
  [WHITE, [118, 118, 118, 255], 4.54],
  [[20, 30, 90, 255], [240, 200, 60, 255], wcagContrast("#141e5a", "#f0c83c")],
] as const)("letters on %j in %j have %d to 1", (ground, bar, ratio) => {
  expect(on(ground, bar)).toBeCloseTo(ratio, 2);
});

test("where a picture is seen through, the one that is nearest to the words counts", () => {
  expect(on([0, 0, 0, 0], WHITE)).toBe(1);
  // Half of black: over white it is a middle grey of 127.5.
  expect(on([0, 0, 0, 128], WHITE)).toBeCloseTo(wcagContrast("#7f7f7f", "#ffffff"), 1);
  expect(on([255, 255, 255, 128], WHITE)).toBe(1);
});

test("a tenth of the words on the worst ground is not the figure; more is", () => {
  const worstRows = (rows: number) =>
    contrastAround(...bars((row) => (row < rows ? WHITE : [0, 0, 0, 255]), WHITE));
  expect(worstRows(1)).toBeCloseTo(21, 5);
  expect(worstRows(2)).toBe(1);
});

test("without letters there is no figure", () => {
  const [picture] = bars(() => WHITE, WHITE);
  expect(contrastAround(picture, { ...picture, data: picture.data.map(() => 0) })).toBeNull();
});
