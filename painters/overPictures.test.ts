import { beforeAll, describe, expect, test } from "vitest";
import type { Shaper } from "../core/text/shaper.ts";
import { sampleValues } from "../designs/samples.ts";
import { STARTER_OUTFITS } from "../designs/starter.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { serverPaintKit } from "../server/stills/serverCanvas.ts";
import { lay } from "../test-support/pages.ts";
import { CUT_AND_AT_REST } from "../test-support/takes.ts";
import { contrastOfWords } from "./contrastOfWords.ts";

/** Source: WCAG 2.2, 1.4.3: large words. */
const LEAST = 3;

let shaper: Shaper;
beforeAll(async () => {
  shaper = await loadShaper();
});

const templates = STARTER_OUTFITS.find(({ id }) => id === "band")?.templates ?? [];

describe("words of templates for what lies over a camera are read whatever the camera shows", () => {
  test.each(templates.map((template) => [template.name, template] as const))("%s", (_name, template) => {
    const page = lay(template, sampleValues(template.fieldSet), shaper, { output: template.canvas });
    const kit = serverPaintKit(shaper);
    const hard = page.texts.flatMap(({ objectId }) => {
      const { x, y, width, height } = page.places.get(objectId) ?? { x: 0, y: 0, width: 0, height: 0 };
      const box = { x: Number(x), y: Number(y), width: Number(width), height: Number(height) };
      const ratio = contrastOfWords(page, { objectId, box }, CUT_AND_AT_REST, kit);
      return ratio !== null && ratio < LEAST ? [`${objectId}: ${ratio.toFixed(1)}`] : [];
    });
    expect(hard).toEqual([]);
  });
});
