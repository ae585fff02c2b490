import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import { box, solid, table } from "../../test-support/designs.ts";
import { lay, templateOf } from "../../test-support/pages.ts";
import type { MediaInfo } from "./media.ts";
import type { Part } from "./part.ts";

const bench = prepareBench();
const FRAME = box(100, 200, 800, 300);
const ROWS = "Ropewalk|9\nKiln Lane|3\nGannet Steps|11\nUpper Slip|4\nHarbour side|1";
type Columns = Parameters<typeof table>[3];
type More = Parameters<typeof table>[5];

const NONE = { kind: "none" } as const;
const PLAIN = {
  ...{ rowHeightPx: 50, rowGapPx: 10, rankWidthPx: 0, padPx: 0 },
  ...{ rowFill: NONE, firstRowFill: NONE, otherRowFill: NONE },
};

const layTable = (columns: Columns, rows: string, more: More = {}, media?: MediaInfo) =>
  lay(
    templateOf(table("t", "rows", FRAME, columns, { min: 10, max: 30 }, { ...PLAIN, ...more })),
    { rows },
    bench.shaper,
    media ? { media: () => media } : {},
  );
const itemsOf = (parts: readonly Part[], name: string) => {
  const part = parts.find(({ objectId }) => objectId === `t/${name}`);
  if (part?.content.kind !== "plate") throw new Error(`no ${name}`);
  return { y: part.at.y, items: part.content.plate.picture.items };
};
/** Where the words of each cell of a row begin and end, by their letters' origins, from the left edge of the table. */
const startsOf = (parts: readonly Part[], name: string) =>
  itemsOf(parts, name).items.flatMap((item) => (item.kind === "glyphs" ? [item.glyphs[0]?.x ?? 0] : []));

const heading = { heightPx: 80, fill: solid("panel"), color: { token: "accent" }, weight: "bold" } as const;

describe("tables", () => {
  test("a heading stands above the rows and takes its height from their room; rows without room are told", () => {
    const two: Columns = [
      [2, "start", { title: "Street" }],
      [1, "end", { title: "Lamps" }],
    ];
    const plain = layTable(two, ROWS);
    expect(plain.parts.map(({ at }) => at.y)).toEqual([200, 260, 320, 380, 440]);
    expect(plain.findings).toEqual([]);
    const headed = layTable(two, ROWS, { heading });
    // 300 less 80 has room for three rows of 50 with 10 between them, and for no fourth.
    expect(headed.parts.map(({ at }) => at.y)).toEqual([200, 280, 340, 400]);
    expect(headed.findings).toMatchObject([{ code: "droppedRows" }]);
    expect(itemsOf(headed.parts, "heading").items[0]).toMatchObject({
      kind: "rectangle",
      rect: { width: 800, height: 80 },
    });
  });

  test("every second row has the other ground, from the second on, and the first its own", () => {
    const fills = (more: More) =>
      layTable([[1, "start"]], ROWS, more).parts.map(({ content }) => {
        const fill = content.kind === "plate" ? content.plate.picture.items[0]?.fill : undefined;
        return fill?.kind === "solid" ? fill.color : "none";
      });
    const [row, other, first] = (["#111111", "#222222", "#333333"] as const).map(
      (color) => ({ kind: "solid", color }) as const,
    ) as [
      { kind: "solid"; color: string },
      { kind: "solid"; color: string },
      { kind: "solid"; color: string },
    ];
    expect(fills({ rowFill: row, otherRowFill: other })).toEqual([
      "#111111",
      "#222222",
      "#111111",
      "#222222",
      "#111111",
    ]);
    expect(fills({ rowFill: row, otherRowFill: other, firstRowFill: first }).slice(0, 2)).toEqual([
      "#333333",
      "#222222",
    ]);
  });

  test("a column by content is as wide as its longest words, its heading among them, and others share the rest", () => {
    const columns = (title: string): Columns => [
      [null, "start", { title }],
      [1, "start"],
    ];
    const second = (title: string, rows: string, more: More = {}) =>
      startsOf(layTable(columns(title), rows, more).parts, "row:Al")[1] ?? 0;
    const short = second("", "Al|x");
    expect(second("", "Al|x\nAl of the long harbour wall|y")).toBeGreaterThan(short + 150);
    // A title counts where there is a heading, and only there.
    expect(second("Who keeps the lamp", "Al|x", { heading })).toBeGreaterThan(short + 100);
    expect(second("Who keeps the lamp", "Al|x")).toBe(short);
  });

  test("columns by content that need more than there is share it, and none leaves the table", () => {
    const long = "the keeper of the seven lamps at the end of the long harbour wall";
    const starts = startsOf(
      layTable(
        [
          [null, "start"],
          [null, "start"],
          [null, "start"],
        ],
        `${long}|${long}|${long}`,
      ).parts,
      `row:${long}`,
    );
    expect(starts).toHaveLength(3);
    for (const [i, start] of starts.entries())
      expect(Math.abs(start - (starts[0] ?? 0) - (i * 800) / 3)).toBeLessThan(3);
  });

  test("marks and pictures have a square of their own, and stand at the start, the middle or the end of it", () => {
    const lamp: MediaInfo = {
      ...{
        kind: "media",
        name: "lamp",
        type: "picture",
        mime: "image/png",
        file: "e".repeat(64),
        poster: null,
      },
      ...{ widthPx: 100, heightPx: 200, hasAlpha: true, durationMs: null, hasSound: false, key: null },
    };
    const hash = "e".repeat(64);
    const left = (align: "start" | "center" | "end", shows: "mark" | "picture") => {
      const cell = shows === "mark" ? "up" : hash;
      const { parts } = layTable(
        [
          [null, align, { shows }],
          [1, "start"],
        ],
        `${cell}|Ropewalk`,
        {},
        lamp,
      );
      const { items } = itemsOf(parts, `row:${cell}`);
      const [mark, words] = items;
      if (words?.kind !== "glyphs") throw new Error("no words beside it");
      // A cell of 50 by 50, less 8 to the next column.
      expect(Math.round((words.glyphs[0]?.x ?? 0) / 10)).toBe(5);
      if (mark?.kind === "polygon") return Math.min(...mark.points.map(({ x }) => x));
      if (mark?.kind === "rectangle") return mark.rect.x;
      throw new Error(`${mark?.kind}`);
    };
    // A mark of 0.36 × 50 = 18 px, its points 8 % within; a picture of 38 px high, half as wide: 19 px.
    const marks = (["start", "center", "end"] as const).map((align) => left(align, "mark"));
    expect(marks.map((x) => Math.round(x * 100) / 100)).toEqual([1.44, 13.44, 25.44]);
    expect((["start", "center", "end"] as const).map((align) => left(align, "picture"))).toEqual([
      0, 11.5, 23,
    ]);
  });
});
