import { describe, expect, test } from "vitest";
import { bandLyrics, bandName } from "../../designs/bandTemplates.ts";
import { HARBOUR_LAMP } from "../../designs/harbourLamp.ts";
import { STARTER_OUTFITS } from "../../designs/starter.ts";
import { prepareBench } from "../test-support/contents.ts";
import { FALLBACK_FONTS } from "../text/fontList.ts";
import { resolveColor } from "./houseStyle.ts";
import { layOut } from "./layOut.ts";
import { templateSchema } from "./template.ts";

const bench = prepareBench();
const HD = { widthPx: 1920, heightPx: 1080 };
const lay = (values: Record<string, string>, output = HD, template = bandName) =>
  layOut(template, values, HARBOUR_LAMP, output, FALLBACK_FONTS, bench.shaper);

describe("layout", () => {
  test("every shipped template is valid in its own format, and keeps its format when stored", () => {
    for (const { templates } of STARTER_OUTFITS)
      for (const template of templates)
        expect(templateSchema.parse(JSON.parse(JSON.stringify(template)))).toEqual(template);
  });

  test("equal values give equal keys; a changed field changes only its own part", () => {
    const one = lay({ name: "Ilse Tarrow", role: "net mender" });
    const two = lay({ name: "Odhran Vael", role: "net mender" });
    expect(lay({ name: "Ilse Tarrow", role: "net mender" })).toEqual(one);
    const changed = one.parts
      .filter((part, i) => part.key !== two.parts[i]?.key)
      .map(({ objectId }) => objectId);
    expect(changed).toEqual(["name"]);
  });

  test("an empty field draws nothing, and no box is left behind it", () => {
    expect(lay({ name: "Ilse Tarrow", role: " " }).parts.map(({ objectId }) => objectId)).toEqual([
      "bar",
      "accent",
      "name",
    ]);
  });

  test("long words shrink to stay in their box, and say so when even that is not enough", () => {
    const long = lay({
      name: "Bartholomew Featherstonehaugh of the Lower Ropewalk and Gannet Steps",
      role: "x",
    });
    const name = long.parts.find(({ objectId }) => objectId === "name");
    expect(name?.text).toMatchObject({ fits: true });
    expect(name?.text?.sizePx).toBeLessThan(66);
    const bounds = name?.picture.bounds;
    expect((bounds?.x ?? 0) + (bounds?.width ?? 0)).toBeLessThan(1_008 + 30);
    const much = lay({ words: "lamp ".repeat(600), credit: "" }, HD, bandLyrics).parts.find(
      ({ objectId }) => objectId === "words",
    );
    expect(much?.text).toEqual({ sizePx: 26, fits: false });
  });

  test("another size of output is laid out at that size, centred, not scaled from pixels", () => {
    const small = lay({ name: "Ilse Tarrow", role: "" }, { widthPx: 1280, heightPx: 720 });
    const bar = small.parts[0]?.picture.items[0];
    if (bar?.kind !== "roundedRect") throw new Error("the bar is not first");
    expect(bar.rect.width).toBeCloseTo((880 * 2) / 3, 6);
    expect(bar.radiusPx).toBeCloseTo((HARBOUR_LAMP.radiusPx * 2) / 3, 6);
    const tall = lay({ name: "Ilse Tarrow", role: "" }, { widthPx: 1080, heightPx: 1920 });
    for (const { picture } of tall.parts)
      expect(picture.bounds.x + picture.bounds.width).toBeLessThanOrEqual(1080);
  });

  test("a colour that a style does not have is paper white, never nothing", () => {
    expect(resolveColor({ token: "no-such-token" }, HARBOUR_LAMP)).toBe("#ffffff");
    expect(resolveColor({ token: "lamp", alpha: 0.5 }, HARBOUR_LAMP)).toBe("#f4bd6880");
  });
});
