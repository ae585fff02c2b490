import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import {
  bars,
  box,
  crawl,
  figures,
  linear,
  rectangle,
  solid,
  table,
  text,
} from "../../test-support/designs.ts";
import { HD, lay, partOf, plateOf, templateOf } from "../../test-support/pages.ts";
import { timelineOf } from "../../test-support/takes.ts";
import type { SceneObject } from "../scene/objectKinds.ts";
import { fieldsIn, writeWords } from "../scene/writtenWords.ts";
import { placementsAt } from "./placements.ts";

const bench = prepareBench();
const page = (objects: SceneObject[], values: Record<string, string> = {}) =>
  lay(templateOf(...objects), values, bench.shaper);
const LONG =
  "Carry the lamp down to the quay where the boats lie waiting for the evening tide to turn ".repeat(6);

describe("words that do not fit even at their smallest", () => {
  test.each([
    ["fit", 60, 24],
    ["wrap", 24, 24],
    ["condense", 60, 24],
  ] as const)("%s: they stop at the box, lines are whole, and it is said", (mode, max, min) => {
    const frame = box(100, 100, 300, 100);
    const { parts, findings } = page([text("t", "w", frame, { min, max }, { mode })], { w: LONG });
    expect(findings.map(({ code }) => code)).toEqual(["overflow"]);
    const { picture } = plateOf(parts, "t");
    const { bounds, clip, items } = picture;
    // Nothing is painted beside the box, nor below it but for the room that letters of a whole line take.
    expect(clip).toMatchObject({ x: 0, width: 300 });
    expect(bounds.width).toBeLessThanOrEqual(302);
    const baselines = new Set(
      items.flatMap((item) => (item.kind === "glyphs" ? item.glyphs.map(({ y }) => y) : [])),
    );
    for (const y of baselines) expect(y).toBeLessThanOrEqual(100);
    expect(baselines.size).toBeGreaterThan(0);
  });

  test("one that fits is not cut, whatever shadow it casts", () => {
    const { parts } = page([text("t", "w", box(0, 0, 300, 100), { min: 10, max: 40 })], { w: "Lamp" });
    expect(plateOf(parts, "t").picture.clip).toBeUndefined();
  });
});

describe("words with fields in them", () => {
  const values = { home: "3", away: "1", sum: "1234.5", name: "ilse tarrow", share: "0.25", none: "" };
  const write = (text: string) => writeWords(text, (field) => values[field as keyof typeof values] ?? "");

  test("fields, formats and braces", () => {
    expect(write("{home} : {away}")).toBe("3 : 1");
    expect(write("{sum|number.2} so far, {share|percent}")).toBe("1234.50 so far, 25\u202f%");
    expect(write("{name|title}, {name|upper}")).toBe("Ilse Tarrow, ILSE TARROW");
    expect(write("{{{home}}}")).toBe("{3}");
    expect(write("{name|number}")).toBe("ilse tarrow");
    expect(fieldsIn("{home} : {away} ({home})")).toEqual(["home", "away"]);
  });

  test("where every field is empty nothing is there, not the colon between them", () => {
    expect(write("{none} : {none}")).toBe("");
    expect(write("{none} : {home}")).toBe(" : 3");
  });

  test("a text shows them, lays out anew for each of them, and says a format that there is not", () => {
    const score = text(
      "s",
      "=",
      box(0, 0, 400, 90),
      { min: 20, max: 60 },
      {
        words: { kind: "written", text: "{home} : {away|loud}" },
      },
    );
    const { parts, findings } = page([score], { home: "3", away: "1" });
    expect(parts).toHaveLength(1);
    expect(findings.map(({ code, figures }) => [code, figures.format])).toEqual([["unknownFormat", "loud"]]);
    expect(page([score], { home: "", away: "" }).parts).toEqual([]);
  });
});

describe("an object counts as drawn when there is something of it to see", () => {
  test("an empty text is not drawn, so what hangs on it is not either", () => {
    const always = { showWhen: { kind: "always" as const } };
    const objects = [
      text("role", "role", box(0, 0, 400, 60), { min: 20, max: 40 }, always),
      rectangle("rule", box(0, 70, 400, 4), solid("accent"), { showWhen: { kind: "drawn", object: "role" } }),
      rectangle("alone", box(0, 70, 400, 4), solid("accent"), {
        showWhen: { kind: "notDrawn", object: "role" },
      }),
    ];
    const ids = (role: string) => page(objects, { role }).parts.map(({ objectId }) => objectId);
    expect(ids("net mender")).toEqual(["role", "rule"]);
    expect(ids("  ")).toEqual(["alone"]);
  });
});

describe("texts that the time decides", () => {
  const shown = (object: SceneObject, values: Record<string, string>, ms: number) => {
    const [placed] = placementsAt(timelineOf(bench.shaper, [object], [{ atMs: 0, values }]), ms, HD);
    return placed?.kind === "group" ? placed.children : [];
  };
  const frame = box(0, 0, 600, 100);
  const sizes = { min: 20, max: 60 };

  test("capitals are those of what is shown: no letter of a clock or of a number with words is lost", () => {
    const clock = (letterCase: "upper" | "lower" | "title") =>
      shown(figures("c", { kind: "clock", format: "hm12" }, frame, sizes, { letterCase }), {}, 0).length;
    expect([clock("upper"), clock("lower"), clock("title")]).toEqual([8, 8, 8]);
    const number = figures("n", { kind: "number", field: "n" }, frame, sizes, { letterCase: "upper" });
    expect(shown(number, { n: "12 goals" }, 10)).toHaveLength("12 GOALS".length);
  });

  test("a gradient goes on from digit to digit", () => {
    const fill = linear(90, [0, "accent"], [1, "second"]);
    const placed = shown(
      figures("n", { kind: "number", field: "n" }, frame, sizes, { fill }),
      { n: "888" },
      10,
    );
    const starts = placed.map((one) => {
      const item = one.kind === "plate" ? one.plate.picture.items[0] : undefined;
      return one.kind === "plate" && item?.fill.kind === "linear" ? one.x + item.fill.x0 : Number.NaN;
    });
    // The gradient of each lies where that of the first does.
    expect(starts).toHaveLength(3);
    for (const start of starts) expect(start).toBeCloseTo(starts[0] as number, 6);
  });

  test("a countdown to what nobody can read says so; one that is read does not", () => {
    const countdown = figures("c", { kind: "countdown", field: "to" }, frame, sizes);
    const codes = (to: string) => page([countdown], { to }).findings.map(({ code }) => code);
    expect(["19:00", "25:00", "90", "5", "24 Dec 18:00", "2026-12-24", "5 min", ""].map(codes)).toEqual(
      Array.from({ length: 8 }, () => []),
    );
    expect(codes("when the boats are in")).toEqual(["uncountable"]);
    expect(codes("31.02. 18:00")).toEqual(["uncountable"]);
  });
});

describe("rows that there is no room for", () => {
  test("tables and bars say how many they leave out", () => {
    const rows = { rows: "a|1\nb|2\nc|3\nd|4" };
    const sizes = { min: 14, max: 40 };
    const small = box(0, 0, 600, 2 * 84 + 10);
    const figuresOf = (object: SceneObject) =>
      page([object], rows).findings.map(({ code, figures: f }) => [code, f]);
    const told = [["droppedRows", { shown: 2, rows: 4 }]];
    expect(figuresOf(table("t", "rows", small, [[1, "start"]], sizes))).toEqual(told);
    expect(figuresOf(bars("b", "rows", box(0, 0, 600, 2 * 84 + 26), sizes))).toEqual(told);
    expect(
      figuresOf(table("t", "rows", box(0, 0, 600, 900), [[1, "start"]], sizes, { mostRows: 2 })),
    ).toEqual(told);
    expect(figuresOf(table("t", "rows", box(0, 0, 600, 900), [[1, "start"]], sizes))).toEqual([]);
  });

  test("a table has a heading, columns as wide as their words, marks and every second row in another fill", () => {
    const object = table(
      "t",
      "rows",
      box(0, 0, 900, 600),
      [
        [1, "start", { title: "Street" }],
        [null, "end", { title: "Lamps", weight: "bold" }],
        [null, "center", { shows: "mark", color: { token: "accent" } }],
      ],
      { min: 14, max: 40 },
      { heading: { heightPx: 60, color: { token: "quiet" } }, otherRowFill: solid("rise") },
    );
    const { parts, findings } = page([object], {
      rows: "Ropewalk|9|up\nKiln Lane|1250 of all the lamps|down",
    });
    expect(findings).toEqual([]);
    expect(partOf(parts, "t/heading").at.y).toBe(0);
    expect(partOf(parts, "t/row:Ropewalk").at.y).toBe(60);
    const items = (id: string) => plateOf(parts, id).picture.items;
    expect(items("t/row:Ropewalk").filter(({ kind }) => kind === "polygon")).toHaveLength(1);
    expect(items("t/row:Ropewalk")[0]?.fill).not.toEqual(items("t/row:Kiln Lane")[0]?.fill);
  });
});

describe("a crawl's gradient", () => {
  test("goes along the whole strip: no seam where one tile ends and the next begins", () => {
    const strip = crawl("c", "items", box(0, 0, 1_000, 80), 40, {
      fill: linear(90, [0, "accent"], [1, "second"]),
    });
    const { content } = partOf(page([strip], { items: LONG.slice(0, 420) }).parts, "c");
    if (content.kind !== "strip") throw new Error(content.kind);
    expect(content.tiles.length).toBeGreaterThan(1);
    const lines = content.tiles.map(({ plate, x }) => {
      const fill = plate.picture.items.find(({ kind }) => kind === "glyphs")?.fill;
      return fill?.kind === "linear" ? [fill.x0 + x, fill.x1 + x].map(Math.round) : null;
    });
    expect(new Set(lines.map((line) => JSON.stringify(line))).size).toBe(1);
    expect((lines[0]?.[1] ?? 0) - (lines[0]?.[0] ?? 0)).toBeGreaterThan(content.lengthPx - 20);
  });
});
