import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import { bars, box, make, table } from "../../test-support/designs.ts";
import { lay, templateOf } from "../../test-support/pages.ts";
import { NO_ADJUSTMENT } from "./adjustment.ts";
import type { Part } from "./part.ts";

const bench = prepareBench();
/** Two columns of 400 px each, 300 px high. */
const FRAME = box(100, 200, 800, 300);
const chart = (more: object) =>
  make("chart", {
    ...{ id: "c", box: FRAME, field: "rows", form: "columns", minSizePx: 10, maxSizePx: 30 },
    ...{ colors: [{ token: "accent" }, { token: "words" }], gapShare: 0.5, labelHeightPx: 0, ...more },
  });
const partsOf = (object: ReturnType<typeof chart>, rows: string): readonly Part[] =>
  lay(templateOf(object), { rows }, bench.shaper).parts;
const named = (parts: readonly Part[], start: string) =>
  parts.filter(({ objectId }) => objectId.includes(start));

describe("charts", () => {
  // Geometry, from the numbers above: the largest value is as high as the plot, half the room of a row is left free.
  test("columns are as high as their values, rounded at the top, and stand in the middle of their room", () => {
    const columns = named(partsOf(chart({ cornerPx: 12 }), "Ropewalk|9\nKiln Lane|3"), "column:");
    expect(columns.map(({ at }) => [at.x, at.extent])).toEqual([
      [200, 1],
      [600, 1 / 3],
    ]);
    for (const { content } of columns) {
      if (content.kind !== "plate") throw new Error(content.kind);
      expect(content).toMatchObject({ radiiPx: [12, 12, 0, 0], growsFrom: "bottom" });
      expect(content.plate.picture.bounds).toMatchObject({ width: 200, height: 300 });
    }
  });

  test("of several series the columns of a row stand side by side, each in its own colour", () => {
    const columns = named(partsOf(chart({ fullAt: 20 }), "Ropewalk|10|5\nKiln Lane|20|0"), "column:");
    expect(columns.map(({ at }) => [at.x, at.extent])).toEqual([
      [200, 0.5],
      [300, 0.25],
      [600, 1],
      [700, 0],
    ]);
    const fills = columns.map(
      ({ content }) => content.kind === "plate" && content.plate.picture.items[0]?.fill,
    );
    expect(fills[0]).toEqual(fills[2]);
    expect(fills[0]).not.toEqual(fills[1]);
  });

  test("a line goes through the middle of each row's room, its largest value at the top and nothing at the bottom", () => {
    const [line] = named(partsOf(chart({ form: "lines" }), "One|0\nTwo|8\nThree|4\nFour|8"), "line:");
    if (line?.content.kind !== "shape" || line.content.shape.shape.kind !== "path")
      throw new Error("no line");
    const points = [...line.content.shape.shape.data.matchAll(/[ML](\S+) (\S+?)(?=[ML]|$)/g)].map(
      ([, x, y]) => [line.at.x + Number(x), line.at.y + Number(y)],
    );
    expect(points).toEqual([
      [200, 500],
      [400, 200],
      [600, 350],
      [800, 200],
    ]);
  });

  test("what is no number is told, with its row, and stands at nothing", () => {
    const page = lay(templateOf(chart({})), { rows: "Ropewalk|nine\nKiln Lane|3" }, bench.shaper);
    expect(named(page.parts, "column:").map(({ at }) => at.extent)).toEqual([0, 1]);
    expect(page.findings).toMatchObject([{ code: "notANumber" }]);
    expect(JSON.stringify(page.findings)).toContain("Ropewalk: nine");
  });

  test("values count up when their own row comes", () => {
    const motion = { enter: [], exit: [], change: { in: [], out: [] }, staggerMs: 80 };
    const counted = (object: ReturnType<typeof chart>) =>
      named(partsOf(object, "Ropewalk|9\nKiln Lane|3"), "value:").map(
        ({ content }) => content.kind === "figures" && content.value,
      );
    const expected = [
      { kind: "number", to: 9, delayMs: 0, durationMs: 700 },
      { kind: "number", to: 3, delayMs: 80, durationMs: 700 },
    ];
    expect(counted(chart({ valueHeightPx: 40, countMs: 700, motion }))).toMatchObject(expected);
    const long = bars("b", "rows", FRAME, { min: 12, max: 30 }, { countMs: 700, motion });
    expect(counted(long as never)).toMatchObject(expected);
  });
});

test.each([
  ["bars", bars("o", "rows", FRAME, { min: 12, max: 30 }, { rowHeightPx: 40 })],
  ["a table", table("o", "rows", FRAME, [[1, "start"]], { min: 12, max: 30 }, { rowHeightPx: 40 })],
])("the rows of %s grow with their letters", (_name, object) => {
  const heights = (scale: number) =>
    lay(templateOf(object), { rows: "Ropewalk|9\nKiln Lane|3" }, bench.shaper, {
      adjust: { rows: { ...NO_ADJUSTMENT, scale } },
    }).parts.map(({ at }) => at.y);
  const [before, after] = [heights(1), heights(1.5)];
  const pitch = (ys: readonly number[]) => Math.max(...ys) - Math.min(...ys);
  expect(pitch(before)).toBeGreaterThan(39);
  // What lies between rows stays as it is.
  expect(pitch(after) - pitch(before)).toBe(20);
});
