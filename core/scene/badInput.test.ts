import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import {
  bars,
  box,
  crawl,
  figures,
  list,
  picture,
  rectangle,
  solid,
  table,
  text,
  video,
} from "../../test-support/designs.ts";
import { lay, templateOf } from "../../test-support/pages.ts";
import type { HouseStyle } from "./houseStyle.ts";
import type { MediaInfo } from "./media.ts";
import type { SceneObject } from "./objectKinds.ts";
import { readTemplate } from "./readTemplate.ts";

const bench = prepareBench();
const ground = rectangle("ground", box(0, 0, 1920, 1080), solid("ground"));
const words = (id: string) => text(id, "name", box(100, 100, 800, 200), { min: 20, max: 80 });
const kinds = (objects: SceneObject[], values: Record<string, string>) => {
  const page = lay(templateOf(ground, ...objects), values, bench.shaper);
  // Whatever is wrong, the page is never blank, and every finding says something whole.
  expect(page.parts.length).toBeGreaterThan(0);
  for (const finding of page.findings) expect(finding.sentence).toMatch(/^“.+” .+\.$/);
  return page.findings.map(({ code, subject }) => `${subject.id}: ${code}`);
};

describe("what cannot be drawn is left out and named", () => {
  test("an object of a newer kind, and one with keyframes out of order", () => {
    const template = templateOf(ground, words("words"));
    const keys = [
      { atMs: 500, value: 0, easing: "linear" },
      { atMs: 100, value: 1, easing: "linear" },
    ];
    const raw = JSON.parse(JSON.stringify(template)) as { objects: Record<string, unknown>[] };
    raw.objects.push(
      { id: "hologram", kind: "hologram", depth: 3 },
      {
        ...raw.objects[1],
        id: "twisted",
        motion: { ...(raw.objects[1]?.motion as object), enter: [{ property: "opacity", keyframes: keys }] },
      },
      { kind: "rectangle" },
    );
    const read = readTemplate(JSON.stringify(raw));
    if ("problem" in read) throw new Error(read.problem);
    expect(read.problems).toEqual([
      expect.stringMatching(/“hologram” is left out: its kind, “hologram”, is not known/),
      expect.stringMatching(/“twisted” is left out: .*keyframes must be in order of time/),
      expect.stringMatching(/“object 5” is left out/),
    ]);
    const page = lay(read.template, { name: "Ilse" }, bench.shaper);
    expect(page.parts.map(({ objectId }) => objectId)).toEqual(["ground", "words"]);
    expect(page.findings.map(({ code }) => code)).toEqual([
      "unreadableObject",
      "unreadableObject",
      "unreadableObject",
    ]);
    // What was not understood is kept as it came, for the version that does.
    expect(read.template.objects[2]).toMatchObject({ was: { kind: "hologram", depth: 3 } });
    expect(readTemplate(JSON.stringify(read.template))).toMatchObject({ template: read.template });
  });

  test("a file that is no template is refused in a sentence", () => {
    for (const wrong of ["", "{", "[]", '{"objects": 3}', '{"objects": []}', `"${"x".repeat(5_000_000)}"`])
      expect(readTemplate(wrong)).toEqual({ problem: expect.stringMatching(/Nothing was changed\.$/) });
    expect(readTemplate(JSON.stringify(templateOf(ground, { ...ground })))).toEqual({
      problem: expect.stringMatching(/Two objects of the template are called “ground”/),
    });
  });

  test("a box without size, a missing picture, a clip that is a picture, a font that is not here", () => {
    const info: MediaInfo = {
      kind: "media",
      name: "a still",
      type: "picture",
      mime: "image/png",
      file: "a".repeat(64),
      poster: null,
      widthPx: 20,
      heightPx: 10,
      hasAlpha: false,
      durationMs: null,
      hasSound: false,
      key: null,
    };
    const style: HouseStyle = {
      kind: "style",
      name: "torn",
      colors: { ground: "#000000", accent: "#ffffff", words: "#ffffff" },
      fonts: { words: { regular: ["lost-font"], bold: [], italic: [], boldItalic: [] } },
      numbers: {},
    };
    const page = lay(
      templateOf(
        ground,
        rectangle("flat", box(10, 10, 0, 50), solid("accent")),
        picture("gone", "picture", box(0, 0, 400, 300)),
        video("still", "clip", box(0, 0, 400, 300)),
        words("words"),
      ),
      { picture: "b".repeat(64), clip: "c".repeat(64), name: "Ilse" },
      bench.shaper,
      { style, media: (hash) => (hash.startsWith("c") ? info : undefined) },
    );
    expect(page.findings.map(({ code, subject }) => `${subject.id}: ${code}`)).toEqual([
      "flat: emptyBox",
      "gone: missingMedia",
      "still: wrongMedia",
      "words: missingFont",
    ]);
    // The words are there, in another font; where the picture is missing, a stand-in is.
    expect(page.parts.map(({ objectId }) => objectId)).toEqual(["ground", "gone", "words"]);
  });

  test("letters that no font has are told, never a silent box; those of every script are there", () => {
    const page = (text: string) =>
      lay(templateOf(ground, words("words")), { name: text }, bench.shaper).findings.filter(
        ({ code }) => code === "noGlyph",
      );
    expect(page("The lamp \u{13080} on the quay")).toMatchObject([
      { subject: { id: "words" }, figures: { letters: "\u{13080}" } },
    ]);
    expect(page("물가로 灯火 দীপ விளக்கு ላምፕ 🕯️ ❤️ “quay” … naïve")).toEqual([]);
  });

  test("numbers that are none: the words stand as typed, bars have no length", () => {
    const count = figures("count", { kind: "number", field: "count", durationMs: 500 }, box(0, 0, 300, 90), {
      min: 20,
      max: 60,
    });
    expect(kinds([count], { count: "NaN" })).toEqual(["count: notANumber"]);
    expect(kinds([count], { count: "" })).toEqual([]);
    const rows = bars("bars", "rows", box(0, 0, 900, 400), { min: 14, max: 40 });
    expect(kinds([rows], { rows: "Ropewalk|12\nKiln Lane|x\nUpper Slip" })).toEqual([
      "bars: notANumber",
      "bars: notANumber",
    ]);
    const page = lay(templateOf(rows), { rows: "Ropewalk|12\nKiln Lane|Infinity" }, bench.shaper);
    expect(page.parts.find(({ objectId }) => objectId === "bars/bar:Kiln Lane")?.at.extent).toBe(0);
  });

  test("a text of 50 000 characters is cut and told, in every kind of object that sets words", () => {
    const long = "lamp and harbour ".repeat(3_000);
    const values = { name: long, points: long, items: long, rows: long };
    for (const object of [
      words("it"),
      list("it", "points", box(0, 0, 900, 400), { min: 20, max: 60 }),
      crawl("it", "items", box(0, 0, 900, 80), 40),
      table("it", "rows", box(0, 0, 900, 400), [[1, "start"]], { min: 20, max: 40 }),
    ])
      expect(kinds([object], values)).toContain("it: tooLongText");
  });

  test("words that spill, and words at their smallest size, are told apart", () => {
    expect(kinds([words("it")], { name: "lamp ".repeat(400) })).toEqual(["it: overflow"]);
    // As the box gets narrower, words are at first all right, then at their smallest, then too many.
    const told = [500, 450, 400, 380, 360, 340, 320, 300].map(
      (width) =>
        kinds([text("it", "name", box(0, 0, width, 60), { min: 30, max: 80 })], {
          name: "Bartholomew Featherstone",
        })[0] ?? "",
    );
    expect([...new Set(told)]).toEqual(["", "it: smallestSize", "it: overflow"]);
    expect(kinds([words("it")], { name: "Ilse" })).toEqual([]);
  });
});
