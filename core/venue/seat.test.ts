import { expect, test } from "vitest";
import { smallestReadable } from "./seat.ts";

// Common practice: the farthest seat at six picture heights reads letters of 3 % of the picture's height.
test.each([
  { farthestM: 6, pictureHeightM: 1, heightPx: 1080, percent: 3 },
  { farthestM: 8, pictureHeightM: 1, heightPx: 1080, percent: 4 },
  { farthestM: 18, pictureHeightM: 3, heightPx: 2160, percent: 3 },
])("$farthestM m before $pictureHeightM m: letters of $percent %", (row) => {
  const { capitalPx, sizePx } = smallestReadable(row.farthestM, row.pictureHeightM, row.heightPx);
  expect((capitalPx / row.heightPx) * 100).toBeCloseTo(row.percent, 6);
  expect(sizePx).toBeGreaterThan(capitalPx);
});
