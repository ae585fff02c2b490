import { describe, expect, test } from "vitest";
import { cardWidth, fillRoom } from "./pictureSizes.ts";

const WALL = { widthPx: 1920, heightPx: 1080 };
const RIBBON = { widthPx: 1920, heightPx: 360 };
const PORCH = { widthPx: 1080, heightPx: 1920 };
const ALL = [WALL, WALL, RIBBON, PORCH, WALL];

describe("pictures fill the room beside the script", () => {
  test("more room, larger pictures; the first is the largest of its shape", () => {
    let before = 0;
    for (const [width, height] of [
      [448, 520],
      [700, 760],
      [980, 860],
      [1400, 1200],
    ] as const) {
      const { widths, fits } = fillRoom(ALL, width, height);
      expect(fits).toBe(true);
      expect(widths[0]).toBeGreaterThan(before);
      expect(widths[0]).toBeGreaterThanOrEqual(widths[1] ?? 0);
      for (const each of widths) expect(cardWidth(each)).toBeLessThanOrEqual(width);
      // None of its shape is larger than the first.
      for (const at of [1, 4]) expect(widths[at]).toBeLessThanOrEqual((widths[0] ?? 0) + 1);
      // Most of the room is used.
      const shapes = ALL.map((output) => output.heightPx / output.widthPx);
      const area = widths.reduce((sum, each, i) => sum + 2 * each * each * (shapes[i] ?? 0), 0);
      expect(area / (width * height)).toBeGreaterThan(0.5);
      before = widths[0] ?? 0;
    }
  });

  test("one screen takes the width or the height, whichever ends first", () => {
    expect(fillRoom([WALL], 800, 2_000).widths[0]).toBe(395);
    expect(fillRoom([PORCH], 1_000, 500).widths[0]).toBeLessThan((500 * 9) / 16);
  });

  test("where there is no room they are as small as they can be read, and scroll", () => {
    expect(fillRoom([...ALL, ...ALL, ...ALL], 300, 200).fits).toBe(false);
  });
});
