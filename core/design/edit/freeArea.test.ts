import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { freeArea } from "./freeArea.ts";

/** A picture of cells: "." clear, a digit an opaque ground of that brightness. */
function picture(rows: readonly string[]): readonly [number[], number, number] {
  const pixels = rows.flatMap((row) =>
    [...row].flatMap((cell) => (cell === "." ? [0, 0, 0, 0] : [...Array(3).fill(Number(cell) * 25), 255])),
  );
  return [pixels, rows[0]?.length ?? 0, rows.length];
}

describe("room for words on a bed", () => {
  test("is where it is opaque and plain, within a margin", () => {
    const rows = [
      "....................",
      "..1111111111113939..",
      "..1111111111119393..",
      "..1111111111113939..",
      "....................",
    ];
    const area = freeArea(...picture(rows));
    // The pattern at its right is no ground for words, and neither is the last cell before it.
    expect(area?.x).toBeCloseTo((2 + 0.3) / 20);
    expect((area?.x ?? 0) + (area?.width ?? 0)).toBeCloseTo((13 - 0.3) / 20);
    expect(area?.y).toBeCloseTo((1 + 0.3) / 5);
    expect(area?.height).toBeCloseTo((3 - 0.6) / 5);
  });
  test("there is none on a bed that is clear, or all pattern", () => {
    expect(freeArea(...picture(["....", "...."]))).toBeNull();
    expect(freeArea(...picture(["1919", "9191", "1919"]))).toBeNull();
  });
  test("a wide strip counts for more than a high block of the same area", () => {
    const strip = "1".repeat(16);
    const rows = [strip, ...Array(7).fill(`11..............`)];
    expect((freeArea(...picture(rows))?.width ?? 0) * 16).toBeGreaterThan(10);
  });
  test("is as good as any that a search of all rectangles finds", () => {
    fc.assert(
      fc.property(
        fc.array(fc.string({ unit: fc.constantFrom(".", "5"), minLength: 7, maxLength: 7 }), {
          minLength: 2,
          maxLength: 6,
        }),
        (rows) => {
          const [, width, height] = picture(rows);
          let best = 0;
          for (let x0 = 0; x0 < width; x0++)
            for (let x1 = x0 + 1; x1 <= width; x1++)
              for (let y0 = 0; y0 < height; y0++)
                for (let y1 = y0 + 1; y1 <= height; y1++) {
                  const isFree = rows.slice(y0, y1).every((row) => !row.slice(x0, x1).includes("."));
                  if (isFree) best = Math.max(best, (x1 - x0) ** 1.5 * (y1 - y0));
                }
          const area = freeArea(...picture(rows));
          if (!area) return best === 0;
          const [w, h] = [area.width * width, area.height * height];
          // The margin is a tenth of the height on each side, and at most a quarter of the width.
          return [h / 8, w / 2].some(
            (margin) => Math.abs((w + margin * 2) ** 1.5 * (h + margin * 2) - best) < 1e-6,
          );
        },
      ),
      { seed: 20261129, numRuns: 300 },
    );
  });
});
