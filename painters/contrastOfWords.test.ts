import { beforeAll, describe, expect, test } from "vitest";
import type { SceneObject } from "../core/scene/objectKinds.ts";
import type { Shaper } from "../core/text/shaper.ts";
import { box, group } from "../designs/parts.ts";
import { READY_SHADOWS } from "../designs/readyShadows.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { serverPaintKit } from "../server/stills/serverCanvas.ts";
import { make } from "../test-support/designs.ts";
import { lay, templateOf } from "../test-support/pages.ts";
import { CUT_AND_AT_REST } from "../test-support/takes.ts";
import { contrastOfWords } from "./contrastOfWords.ts";

const BOX = { x: 200, y: 100, width: 900, height: 140 };

let shaper: Shaper;
beforeAll(async () => {
  shaper = await loadShaper();
});

const words = (more: object = {}) =>
  make("text", {
    id: "words",
    box: box(BOX.x, BOX.y, BOX.width, BOX.height),
    words: { kind: "fixed", text: "Harbour lamp" },
    maxSizePx: 96,
    minSizePx: 96,
    fill: { kind: "solid", color: "#ffffff" },
    shadows: [],
    ...more,
  });
const ground = (color: string) =>
  make("rectangle", { id: "ground", box: box(0, 0, 1920, 400), fill: { kind: "solid", color } });
const contrast = (...objects: SceneObject[]) =>
  contrastOfWords(
    lay(templateOf(...objects), {}, shaper),
    { objectId: "words", box: BOX },
    CUT_AND_AT_REST,
    serverPaintKit(shaper),
  );

describe("how well words are read where they are", () => {
  test.each([
    ["#000000", 21],
    ["#767676", 4.54],
    ["#ffffff", 1],
  ])("white on %s: %d to 1, as the standard has it", (color, ratio) => {
    expect(contrast(ground(color), words())).toBeCloseTo(ratio, 1);
  });

  test("white over nothing may be over white; a shadow for any picture keeps it readable", () => {
    expect(contrast(words())).toBe(1);
    const [light] = READY_SHADOWS;
    expect(contrast(words({ shadows: light?.shadows }))).toBeGreaterThan(3);
  });

  // WCAG 2.2, 1.4.3: words of 24 px and more are read at 3 to 1.
  test.each(READY_SHADOWS)(
    "“$name” keep words of any such size readable on the worst picture",
    ({ name, shadows }) => {
      const color = name.startsWith("light") ? "#ffffff" : "#000000";
      for (const px of [24, 30, 40, 56, 96])
        expect(
          contrast(
            words({ shadows, minSizePx: px, maxSizePx: px, fill: { kind: "solid", color } }),
          ) as number,
        ).toBeGreaterThanOrEqual(3);
    },
  );

  test("an outline counts, what lies over the words counts, and what has no words has no figure", () => {
    expect(contrast(words({ stroke: { color: "#000000", widthPx: 8 } }))).toBeGreaterThan(7);
    const veil = make("rectangle", {
      id: "veil",
      box: box(0, 0, 1920, 400),
      fill: { kind: "solid", color: "#000000b0" },
    });
    expect(contrast(ground("#000000"), words(), veil)).toBeLessThan(7);
    expect(contrast(ground("#000000"))).toBeNull();
  });

  test("words of a group are looked at, and a ground that lies behind them only once it is turned", () => {
    const whole = box(0, 0, 1920, 1080);
    const together = group("together", whole, [ground("#767676"), words()]);
    expect(contrast(together)).toBeCloseTo(4.54, 1);
    const turned = make("rectangle", {
      id: "turned",
      box: box(1200, -1330, 300, 3000),
      rotationDeg: 90,
      fill: { kind: "solid", color: "#000000" },
    });
    expect(contrast(turned, words())).toBeCloseTo(21, 0);
  });
});
