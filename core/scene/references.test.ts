import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import { box, fading, HARBOUR_LAMP, make, move, rectangle, solid, text } from "../../test-support/designs.ts";
import { HD, lay, partOf, plateOf, templateOf } from "../../test-support/pages.ts";
import { FALLBACK_FONTS } from "../text/fontList.ts";
import { LayOutMemory, layOut } from "./layOut.ts";
import type { SceneObject } from "./objectKinds.ts";
import { readTemplate } from "./readTemplate.ts";

const bench = prepareBench();
const FRAME = box(100, 100, 800, 300);
const codes = (
  objects: SceneObject[],
  values: Record<string, string> = {},
  more: Parameters<typeof lay>[3] = {},
) =>
  lay(templateOf(...objects), values, bench.shaper, more).findings.map(
    ({ code, subject, figures }) => `${subject.id} ${code} ${Object.values(figures).join(" ")}`,
  );

describe("what a template names and there is not", () => {
  test("colours, typefaces, measures and shadows of the style", () => {
    expect(codes([rectangle("r", FRAME, solid("nowhere"))])).toEqual(["r unknownToken colour nowhere"]);
    expect(codes([text("t", "w", FRAME, { min: 20, max: 60 }, { font: "nowhere" })], { w: "Lamp" })).toEqual([
      "t unknownToken typeface nowhere",
    ]);
    expect(codes([rectangle("r", FRAME, solid("accent"), { corners: { measure: "nowhere" } })])).toEqual([
      "r unknownToken measure nowhere",
    ]);
    expect(codes([rectangle("r", FRAME, solid("accent"), { shadows: [{ shadow: "nowhere" }] })])).toEqual([
      "r unknownToken shadow nowhere",
    ]);
  });

  test("fields that its pages do not have, where that is known; objects that it does not have", () => {
    const template = templateOf(
      text("t", "nmae", FRAME, { min: 20, max: 60 }, { showWhen: { kind: "always" } }),
    );
    const { findings } = layOut(template, { name: "Ilse" }, HARBOUR_LAMP, HD, {
      shaper: bench.shaper,
      fallbackFonts: FALLBACK_FONTS,
      fields: ["name", "role"],
    });
    expect(findings.map(({ code, figures }) => [code, figures.field])).toEqual([["unknownField", "nmae"]]);
    const lost = rectangle("r", FRAME, solid("accent"), { showWhen: { kind: "notDrawn", object: "gone" } });
    expect(codes([lost])).toEqual(["r unknownObject gone"]);
    const read = readTemplate(JSON.stringify(templateOf(lost)));
    expect("problems" in read && read.problems).toEqual([
      expect.stringContaining("“gone”, which is not in the template"),
    ]);
  });

  test("tracks that do nothing to their object", () => {
    const object = text(
      "t",
      "w",
      FRAME,
      { min: 20, max: 60 },
      {
        motion: { ...fading(300), enter: [move("width", 0, 1, 300), move("opacity", 0, 1, 300)] },
      },
    );
    expect(codes([object], { w: "Lamp" })).toEqual(["t unusedTrack width text"]);
  });
});

describe("measures and shadows of the house style", () => {
  const style = {
    ...HARBOUR_LAMP,
    numbers: { ...HARBOUR_LAMP.numbers, margin: 120, quick: 250 },
    shadows: { lift: [{ color: "#112233", blurPx: 8, offsetXPx: 0, offsetYPx: 4 }] },
  };
  const object = rectangle(
    "r",
    { x: { measure: "margin" }, y: { measure: "margin", times: 2 }, width: 300, height: 100 } as never,
    solid("accent"),
    {
      shadows: [{ shadow: "lift" }],
      motion: {
        enter: [
          {
            property: "opacity",
            keyframes: [
              { atMs: 0, value: 0, easing: "linear" },
              { atMs: { measure: "quick" }, value: 1, easing: "linear" },
            ],
          },
        ],
      },
    },
  );

  test("stand for lengths, times and shadows", () => {
    const { parts, findings } = lay(templateOf(object), {}, bench.shaper, { style });
    const part = partOf(parts, "r");
    expect(findings).toEqual([]);
    expect(part.at).toMatchObject({ x: 120, y: 240 });
    expect(part.motion.enter[0]?.keyframes.at(-1)?.atMs).toBe(250);
    expect(plateOf(parts, "r").picture.items[0]?.shadows).toMatchObject([{ blurPx: 8, offsetYPx: 4 }]);
  });

  test("another measure lays out anew only what asks for it", () => {
    const memory = new LayOutMemory();
    const template = templateOf(object, rectangle("other", FRAME, solid("accent")));
    lay(template, {}, bench.shaper, { style, memory });
    expect(memory.laidOutCount).toBe(2);
    lay(template, {}, bench.shaper, { style, memory });
    expect(memory.laidOutCount).toBe(2);
    const wider = { ...style, numbers: { ...style.numbers, margin: 150 } };
    const { parts } = lay(template, {}, bench.shaper, { style: wider, memory });
    expect(memory.laidOutCount).toBe(3);
    expect(partOf(parts, "r").at.x).toBe(150);
  });

  test("a style that makes an object what the format does not allow leaves it out, and says so", () => {
    const broken = { ...style, numbers: { ...style.numbers, quick: -5 } };
    expect(codes([object], {}, { style: broken })).toEqual([
      expect.stringMatching(/^r unreadableObject motion\.enter/),
    ]);
    expect(make("line", { id: "l", box: FRAME }).dashPx).toEqual([]);
  });
});
