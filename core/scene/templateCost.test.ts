import { describe, expect, test } from "vitest";
import { ALL_OUTFITS } from "../../test-support/designs.ts";
import type { SceneObject } from "./objectKinds.ts";
import type { Template } from "./template.ts";
import { costOf } from "./templateCost.ts";
import { TEMPLATE_LIMITS } from "./templateLimits.ts";

const templates = ALL_OUTFITS.flatMap((outfit) => outfit.templates);
const [sample] = templates;
if (!sample) throw new Error("no template ships");
const withObject = (change: object): Template => {
  const rectangle = templates
    .flatMap(({ objects }) => objects)
    .find((object): object is Extract<SceneObject, { kind: "rectangle" }> => object.kind === "rectangle");
  if (!rectangle) throw new Error("no rectangle ships");
  return { ...sample, objects: [{ ...rectangle, ...change, id: "big" }] };
};

describe("what a template costs", () => {
  test("every template that ships is far from the limit", () => {
    for (const template of templates)
      expect(costOf(template).megapixels, template.name).toBeLessThan(TEMPLATE_LIMITS.megapixels / 4);
  });

  test("a box of 20 000 by 20 000 pixels is beyond it, and is named", () => {
    const { megapixels, dearest } = costOf(
      withObject({ box: { x: 0, y: 0, width: 20_000, height: 20_000 }, shadows: [], blurPx: 0 }),
    );
    expect(megapixels).toBeCloseTo(400, 0);
    expect(dearest).toMatchObject({ id: "big" });
  });

  test("blur and shadows are counted, the wider the more", () => {
    const box = { x: 0, y: 0, width: 1_000, height: 1_000 };
    const cost = (change: object) =>
      costOf(withObject({ box, shadows: [], blurPx: 0, ...change })).megapixels;
    const shadow = { color: "#000000", blurPx: 40, offsetXPx: 0, offsetYPx: 0 };
    expect(cost({})).toBeCloseTo(1, 6);
    expect(cost({ blurPx: 10 })).toBeGreaterThan(cost({}) * 3);
    expect(cost({ shadows: [shadow] })).toBeGreaterThan(cost({}));
    expect(cost({ shadows: [shadow, shadow, shadow] })).toBeGreaterThan(cost({ shadows: [shadow] }) * 2);
  });
});
