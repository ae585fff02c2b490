import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import * as band from "../../test-support/designs.ts";
import {
  ALL_OUTFITS,
  box,
  color,
  HARBOUR_LAMP,
  HOUSE_STYLES,
  rectangle,
  sampleValues,
  solid,
  text,
} from "../../test-support/designs.ts";
import { HD, lay, partOf, plateOf, templateOf } from "../../test-support/pages.ts";
import { LayOutMemory } from "./layOut.ts";
import { Lookup } from "./lookup.ts";
import { NO_MEDIA } from "./media.ts";
import { allObjects, templateSchema } from "./template.ts";

const bench = prepareBench();
const strap = (values: Record<string, string>, output = HD) =>
  lay(band.name, values, bench.shaper, { output });

describe("layout", () => {
  test("every shipped template is valid in its own format, and keeps its format when stored", () => {
    for (const { templates } of ALL_OUTFITS)
      for (const template of templates)
        expect(templateSchema.parse(JSON.parse(JSON.stringify(template)))).toEqual(template);
  });

  test("every shipped template shows its sample words in every house style, and none spills", () => {
    for (const { templates } of ALL_OUTFITS)
      for (const template of templates)
        for (const style of HOUSE_STYLES) {
          const output = template.canvas;
          const page = lay(template, sampleValues(template.fieldSet), bench.shaper, { output, style });
          const faults = page.findings.filter(({ code }) => code !== "smallestSize");
          expect([template.name, style.name, faults]).toEqual([template.name, style.name, []]);
          // A clip has no sample; everything else shows something.
          if (!["loop", "clip", "picture"].includes(template.fieldSet))
            expect([template.name, page.parts.length > 0 || template.name.startsWith("Corner")]).toEqual([
              template.name,
              true,
            ]);
        }
  });

  test("every colour and typeface that a shipped template asks for is in every house style", () => {
    const asked = new Set<string>();
    for (const { templates } of ALL_OUTFITS)
      for (const template of templates)
        for (const [, token] of JSON.stringify(allObjects(template)).matchAll(/"(?:token|font)":"([^"]+)"/g))
          asked.add(token as string);
    for (const style of HOUSE_STYLES) {
      const known = new Set([
        ...Object.keys(style.colors),
        ...Object.keys(style.fonts),
        ...Object.keys(style.numbers),
      ]);
      expect([style.name, [...asked].filter((token) => !known.has(token))]).toEqual([style.name, []]);
    }
  });

  test("equal values give equal keys; a changed field changes only its own part", () => {
    const one = strap({ name: "Ilse Tarrow", role: "net mender" });
    const two = strap({ name: "Odhran Vael", role: "net mender" });
    expect(strap({ name: "Ilse Tarrow", role: "net mender" })).toEqual(one);
    const changed = one.parts
      .filter((part, i) => part.key !== two.parts[i]?.key)
      .map(({ objectId }) => objectId);
    expect(changed).toEqual(["name"]);
  });

  test("changing a token lays out anew only what asks for it", () => {
    const memory = new LayOutMemory();
    const template = templateOf(
      rectangle("bar", box(0, 0, 900, 100), solid("panel"), { corners: { measure: "radius" } }),
      rectangle("edge", box(0, 0, 10, 100), solid("accent")),
      text("name", "name", box(20, 0, 800, 100), { min: 20, max: 60 }, { fill: solid("onPanel") }),
    );
    const values = { name: "Ilse Tarrow", role: "x" };
    const first = lay(template, values, bench.shaper, { memory });
    expect(memory.laidOutCount).toBe(3);
    expect(lay(template, values, bench.shaper, { memory }).parts).toEqual(first.parts);
    expect(memory.laidOutCount).toBe(3);
    const accented = { ...HARBOUR_LAMP, colors: { ...HARBOUR_LAMP.colors, accent: "#00ff00" } };
    lay(template, values, bench.shaper, { memory, style: accented });
    expect(memory.laidOutCount).toBe(4);
    const rounder = { ...HARBOUR_LAMP, numbers: { ...HARBOUR_LAMP.numbers, radius: 40 } };
    lay(template, values, bench.shaper, { memory, style: rounder });
    expect(memory.laidOutCount).toBe(5);
    lay(template, { ...values, name: "Odhran Vael" }, bench.shaper, { memory });
    expect(memory.laidOutCount).toBe(6);
    lay(template, { ...values, role: "nothing asks for it" }, bench.shaper, { memory });
    expect(memory.laidOutCount).toBe(6);
  });

  test("an empty field draws nothing", () => {
    expect(strap({ name: "Ilse Tarrow", role: " " }).parts.map(({ objectId }) => objectId)).toEqual([
      "bar",
      "edge",
      "name",
    ]);
  });

  test("long words are narrowed or shrink to stay in their box, and say so when even that is not enough", () => {
    const long = strap({ name: "Bartholomew Featherstonehaugh of the Ropewalk", role: "x" });
    const { bounds } = plateOf(long.parts, "name").picture;
    expect(bounds.x + bounds.width + partOf(long.parts, "name").at.x).toBeLessThan(150 + 880 + 40);
    const [{ condensed = 1 } = {}] = long.texts.filter(({ objectId }) => objectId === "name");
    expect(condensed).toBeGreaterThan(0.4);
    expect(condensed).toBeLessThan(1);
    const much = lay(band.lyrics, { words: "lamp ".repeat(600), credit: "" }, bench.shaper);
    expect(much.texts).toEqual([{ objectId: "words", sizePx: 26, condensed: 1, fits: false }]);
    expect(much.findings).toMatchObject([
      { code: "overflow", severity: "warning", subject: { kind: "object", id: "words" } },
    ]);
  });

  test("another size of output is laid out at that size, centred, not scaled from pixels", () => {
    const small = strap({ name: "Ilse Tarrow", role: "" }, { widthPx: 1280, heightPx: 720 });
    const bar = plateOf(small.parts, "bar").picture.items[0];
    if (bar?.kind !== "rectangle") throw new Error("the bar is no rectangle");
    expect(bar.rect.width).toBeCloseTo((980 * 2) / 3, 6);
    expect(bar.radiiPx[0]).toBeCloseTo(((HARBOUR_LAMP.numbers.radius ?? 0) * 2) / 3, 6);
    const tall = strap({ name: "Ilse Tarrow", role: "" }, { widthPx: 1080, heightPx: 1920 });
    for (const { objectId, at } of tall.parts) {
      const { bounds } = plateOf(tall.parts, objectId).picture;
      expect(at.x + bounds.x + bounds.width).toBeLessThanOrEqual(1080);
    }
  });

  test("a colour that a style does not have is paper white, never nothing; a field may say one", () => {
    const lookup = new Lookup(HARBOUR_LAMP, { team: "#00ff7f", wrong: "mauve" }, NO_MEDIA);
    expect(lookup.color(color("no-such-token"))).toBe("#ffffff");
    expect(lookup.color(color("accent", 0.5))).toBe("#f4bd6880");
    expect(lookup.color({ field: "team", or: { token: "accent" } })).toBe("#00ff7f");
    expect(lookup.color({ field: "wrong", or: { token: "accent" } })).toBe("#f4bd68");
  });
});
