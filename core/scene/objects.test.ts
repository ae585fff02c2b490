import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import {
  bars,
  box,
  color,
  crawl,
  fading,
  figures,
  group,
  linear,
  list,
  picture,
  polygon,
  radial,
  rectangle,
  solid,
  staggered,
  table,
  text,
  video,
} from "../../test-support/designs.ts";
import { HD, lay, partOf, plateOf, templateOf } from "../../test-support/pages.ts";
import type { MediaInfo } from "./media.ts";
import type { SceneObject } from "./objectKinds.ts";
import { parseRows } from "./rows.ts";

const bench = prepareBench();
const page = (
  objects: SceneObject[],
  values: Record<string, string> = {},
  more: Parameters<typeof lay>[3] = {},
) => lay(templateOf(...objects), values, bench.shaper, more);
const item = (objects: SceneObject[], id: string, values = {}) => {
  const [first] = plateOf(page(objects, values).parts, id).picture.items;
  if (!first) throw new Error(`${id} is empty`);
  return first;
};
const still = (widthPx: number, heightPx: number): MediaInfo => ({
  kind: "media",
  name: "a still",
  type: "picture",
  mime: "image/png",
  file: "a".repeat(64),
  poster: null,
  widthPx,
  heightPx,
  hasAlpha: true,
  durationMs: null,
  hasSound: false,
  key: null,
});

describe("shapes", () => {
  test("corners may differ, come from the style, and are never rounder than the box allows", () => {
    const four = item(
      [rectangle("r", box(0, 0, 200, 100), solid("accent"), { corners: [10, 20, 30, 80] })],
      "r",
    );
    if (four.kind !== "rectangle") throw new Error(four.kind);
    expect(four.radiiPx).toEqual([10, 20, 30, 50]);
    const styled = item(
      [rectangle("r", box(0, 0, 200, 100), solid("accent"), { corners: { measure: "radius", times: 2 } })],
      "r",
    );
    if (styled.kind !== "rectangle") throw new Error(styled.kind);
    expect(styled.radiiPx[0]).toBe(44);
  });

  test("a gradient's line is that of CSS: to the corners at any angle", () => {
    const { fill } = item(
      [rectangle("r", box(100, 100, 400, 200), linear(90, [0, "accent"], [1, "second"]))],
      "r",
    );
    if (fill.kind !== "linear") throw new Error(fill.kind);
    expect([fill.x0, fill.x1]).toEqual([0, 400]);
    expect(fill.y0).toBeCloseTo(100, 9);
    expect(fill.y1).toBeCloseTo(100, 9);
    const diagonal = item(
      [rectangle("r", box(0, 0, 400, 200), linear(45, [0, "accent"], [1, "second"]))],
      "r",
    ).fill;
    if (diagonal.kind !== "linear") throw new Error(diagonal.kind);
    // Half the line is (400 sin 45° + 200 cos 45°) / 2.
    expect(Math.hypot(diagonal.x1 - diagonal.x0, diagonal.y1 - diagonal.y0)).toBeCloseTo(600 / Math.SQRT2, 6);
    expect(
      item([rectangle("r", box(0, 0, 400, 200), radial(0.25, 0.5, 0.5, [0, "accent"], [1, "second"]))], "r")
        .fill,
    ).toMatchObject({ kind: "radial", x: 100, y: 100, radius: 200 });
  });

  test("a polygon may reach past its box, and its plate holds all of it", () => {
    const parts = page([
      polygon(
        "p",
        box(100, 100, 100, 100),
        [
          [0, 0],
          [1.5, 0.5],
          [0, 1],
        ],
        solid("accent"),
      ),
    ]).parts;
    const { bounds } = plateOf(parts, "p").picture;
    expect(bounds.x + bounds.width).toBe(150);
  });

  test("a stronger or weaker shadow comes from the style, and none where it is nothing", () => {
    const shadowed = rectangle("r", box(0, 0, 200, 100), solid("accent"), {
      shadows: [{ color: color("shade", 0.5), blurPx: 10, offsetXPx: 0, offsetYPx: 4 }],
    });
    const styleWith = (shadow: number) => ({
      kind: "style" as const,
      name: "s",
      colors: { accent: "#ffffff", shade: "#000000" },
      fonts: {},
      numbers: { shadow },
    });
    const shadows = (strength: number) =>
      plateOf(page([shadowed], {}, { style: styleWith(strength) }).parts, "r").picture.items[0]?.shadows;
    expect(shadows(1)?.[0]?.color).toBe("#00000080");
    expect(shadows(0.5)?.[0]?.color).toBe("#00000040");
    expect(shadows(0)).toEqual([]);
  });
});

describe("pictures and clips", () => {
  const pictured = (mode: "asIs" | "fit" | "fill" | "stretch") =>
    page(
      [picture("p", "pic", box(100, 100, 400, 200), { mode })],
      { pic: "h" },
      { media: () => still(200, 200) },
    );

  test.each([
    ["asIs", { x: 100, y: 0, width: 200, height: 200 }],
    ["fit", { x: 100, y: 0, width: 200, height: 200 }],
    ["fill", { x: 0, y: -100, width: 400, height: 400 }],
    ["stretch", { x: 0, y: 0, width: 400, height: 200 }],
  ] as const)("a picture %s lies at %j in its box", (mode, dest) => {
    const [painted] = plateOf(pictured(mode).parts, "p").picture.items;
    expect(painted?.fill).toEqual({ kind: "image", file: "a".repeat(64), dest });
  });

  test("any shape may be filled with a picture; an empty field draws nothing and is no fault", () => {
    const filled = rectangle(
      "r",
      box(0, 0, 100, 100),
      { kind: "picture", source: { kind: "field", field: "pic" }, mode: "fill", focus: { x: 0.5, y: 0.5 } },
      { corners: 50 },
    );
    const shown = page([filled], { pic: "h" }, { media: () => still(50, 50) });
    expect(plateOf(shown.parts, "r").picture.items[0]?.fill).toMatchObject({
      kind: "image",
      dest: { width: 100 },
    });
    const empty = page([picture("p", "pic", box(0, 0, 100, 100)), video("v", "clip", box(0, 0, 100, 100))]);
    expect([empty.parts, empty.findings]).toEqual([[], []]);
  });
});

describe("words", () => {
  const words = (more: Parameters<typeof text>[4], value = "carry the lamp down") =>
    page([text("w", "w", box(100, 100, 800, 200), { min: 20, max: 60 }, more)], { w: value }).parts;

  test("come whole, by line, by word or by letter; letters that join come by word", () => {
    const cells = (revealBy: "line" | "word" | "character", value?: string) => {
      const { content } = partOf(words({ revealBy, motion: staggered(fading(200), 50) }, value), "w");
      if (content.kind !== "cells") throw new Error(content.kind);
      return content.cells;
    };
    expect(partOf(words({}), "w").content.kind).toBe("plate");
    expect(cells("word").map(({ delayMs }) => delayMs)).toEqual([0, 50, 100, 150]);
    expect(cells("character")).toHaveLength("carrythelampdown".length + 3);
    expect(cells("line", "one\ntwo")).toHaveLength(2);
    expect(cells("character", "سلام مصباح")).toHaveLength(2);
    // In reading order: each word begins to the right of the one before it.
    const xs = cells("word").map(({ x }) => x);
    expect(xs).toEqual([...xs].sort((a, b) => a - b));
  });

  test("a baseline stands on the lower edge of the box, at any size", () => {
    const baselineOf = (max: number) => {
      const [glyphs] = plateOf(words({ verticalAlign: "baseline", maxSizePx: max }, "H"), "w").picture.items;
      return glyphs?.kind === "glyphs" ? glyphs.glyphs[0]?.y : undefined;
    };
    expect(baselineOf(60)).toBeCloseTo(200, 1);
    expect(baselineOf(24)).toBeCloseTo(200, 1);
  });

  test("case, and colours within the words", () => {
    const glyphs = (more: Parameters<typeof text>[4], value: string) =>
      plateOf(words(more, value), "w").picture.items;
    expect(glyphs({ letterCase: "upper" }, "lamp")).toEqual(glyphs({}, "LAMP"));
    expect(glyphs({ letterCase: "title" }, "the lamp’s keeper")).toEqual(glyphs({}, "The Lamp’s Keeper"));
    const colored = glyphs({}, "a [accent|warm] lamp").map(({ fill }) =>
      fill.kind === "solid" ? fill.color : "",
    );
    expect(new Set(colored)).toEqual(new Set(["#fdf6e9", "#f4bd68"]));
    expect(glyphs({ marked: false }, "a *star*")).not.toEqual(glyphs({}, "a *star*"));
  });

  test("points keep the places they will have, whatever number of them is shown", () => {
    const points = (shown: string) =>
      page([list("l", "points", box(0, 0, 900, 400), { min: 20, max: 60 }, { marker: "number" })], {
        points: "one\ntwo\nthree",
        shown,
      }).parts;
    expect(points("").map(({ objectId }) => objectId)).toEqual(["l/1", "l/2", "l/3"]);
    expect(points("2").map(({ key }) => key)).toEqual(
      points("")
        .slice(0, 2)
        .map(({ key }) => key),
    );
    expect(points("0")).toEqual([]);
  });
});

describe("rows and strips", () => {
  test("rows are known by their first cell, the same name by its turn", () => {
    expect(parseRows("Ropewalk | 9\n\nKiln Lane\t5\nRopewalk|2")).toEqual([
      { key: "Ropewalk", cells: ["Ropewalk", "9"] },
      { key: "Kiln Lane", cells: ["Kiln Lane", "5"] },
      { key: "Ropewalk#2", cells: ["Ropewalk", "2"] },
    ]);
  });

  test("a table shows as many rows as its box holds; bars are sorted and as long as their values", () => {
    const rows = "a|1\nb|4\nc|2\nd|3";
    const shown = page(
      [
        table(
          "t",
          "rows",
          box(0, 0, 600, 190),
          [
            [2, "start"],
            [1, "end"],
          ],
          { min: 12, max: 30 },
          { rowHeightPx: 90, rowGapPx: 10 },
        ),
      ],
      { rows },
    );
    expect(shown.parts.map(({ objectId }) => objectId)).toEqual([
      "t/row:a",
      "t/row:b",
      "t/rank:1",
      "t/rank:2",
    ]);
    const chart = page([bars("b", "rows", box(0, 0, 900, 600), { min: 12, max: 30 })], { rows });
    const lengths = chart.parts
      .filter(({ objectId }) => objectId.includes("/bar:"))
      .map(({ objectId, at }) => [objectId.slice(6), at.extent]);
    expect(lengths).toEqual([
      ["b", 1],
      ["d", 0.75],
      ["c", 0.5],
      ["a", 0.25],
    ]);
  });

  test("a crawl is one line in tiles that can be moved without a GPU, its first item ahead whichever way it goes", () => {
    const items = Array.from({ length: 40 }, (_, i) => `notice number ${i + 1}`).join("\n");
    const strip = (towards: "left" | "right" | "up") => {
      const { content } = partOf(
        page([crawl("c", "items", box(0, 0, 1_000, 80), 40, { towards })], { items }).parts,
        "c",
      );
      if (content.kind !== "strip") throw new Error(content.kind);
      return content;
    };
    const left = strip("left");
    expect(left.lengthPx).toBeGreaterThan(10_000);
    for (const { plate } of left.tiles) expect(plate.picture.bounds.width).toBeLessThan(2_048 + 120);
    expect(strip("right").lengthPx).toBe(left.lengthPx);
    expect(left.words).toBe(120);
    const up = strip("up");
    expect(up.lengthPx).toBeGreaterThan(40 * 40);
    for (const { plate } of up.tiles) expect(plate.picture.bounds.height).toBeLessThan(2_048 + 120);
  });

  test("digits are equally wide, so that a clock does not shiver", () => {
    const { content } = partOf(
      page([figures("f", { kind: "clock", format: "hms" }, box(0, 0, 600, 100), { min: 20, max: 80 })]).parts,
      "f",
    );
    if (content.kind !== "figures") throw new Error(content.kind);
    expect(new Set([..."0123456789"].map((digit) => content.figures[digit]?.advancePx))).toHaveProperty(
      "size",
      1,
    );
  });

  test("what lies in a group that is not drawn is not laid out; px of motion are scaled with the canvas", () => {
    const grouped = group(
      "g",
      box(0, 0, 1920, 1080),
      [
        rectangle("r", box(0, 0, 100, 100), solid("accent"), {
          motion: {
            ...fading(100),
            enter: [{ property: "offsetXPx", keyframes: [{ atMs: 0, value: 300, easing: "linear" }] }],
          },
        }),
      ],
      { showWhen: { kind: "notEmpty", field: "x" } },
    );
    expect(page([grouped]).parts).toEqual([]);
    const [half] = page(
      [grouped],
      { x: "1" },
      { output: { widthPx: HD.widthPx / 2, heightPx: HD.heightPx / 2 } },
    ).parts;
    if (half?.content.kind !== "group") throw new Error("no group");
    expect(half.content.parts[0]?.motion.enter[0]?.keyframes[0]?.value).toBe(150);
  });
});
