import { describe, expect, test } from "vitest";
import { templateOf } from "../../../test-support/pages.ts";
import { FIELD_KINDS, type FieldKindName } from "../../scene/fieldKinds.ts";
import { fieldDefSchema } from "../../scene/fieldSet.ts";
import { fieldsNamedBy } from "../../scene/findReferenceFaults.ts";
import type { ReadableObject } from "../../scene/objectKinds.ts";
import { freePlace, objectFor } from "./showField.ts";

const NAMES = Object.keys(FIELD_KINDS) as FieldKindName[];
const template = templateOf();

describe("an object for a field", () => {
  test.each(NAMES)("of the kind %s names it", (kind) => {
    const field = fieldDefSchema.parse({ name: "wanted", label: "Wanted", kind });
    const made = objectFor(template, field, new Map()) as ReadableObject;
    expect(fieldsNamedBy(made)).toEqual(["wanted"]);
    expect(made.editing.name).toBe("Wanted");
  });

  test("lies where nothing is, within the safe area; over a ground it may lie", () => {
    const { widthPx, heightPx } = template.canvas;
    const size = { width: widthPx * 0.4, height: heightPx * 0.1 };
    const ground = { x: 0, y: 0, width: widthPx, height: heightPx };
    const top = { x: 0, y: 0, width: widthPx, height: heightPx / 2 };
    const left = { x: 0, y: 0, width: widthPx / 2, height: heightPx };
    expect(freePlace(template, new Map([["ground", ground]]), size)).toEqual({
      x: Math.round(widthPx * 0.05),
      y: Math.round(heightPx * 0.05),
    });
    const free = freePlace(
      template,
      new Map([
        ["a", { ...top, height: top.height * 0.9 }],
        ["b", { ...left, width: left.width * 0.9 }],
      ]),
      size,
    );
    expect(free.x).toBeGreaterThanOrEqual(left.width * 0.9);
    expect(free.y).toBeGreaterThanOrEqual(top.height * 0.9);
    expect(free.x + size.width).toBeLessThanOrEqual(widthPx * 0.95 + 1);
  });

  test("what is larger than the safe area stands in the middle", () => {
    const { widthPx, heightPx } = template.canvas;
    expect(freePlace(template, new Map(), { width: widthPx, height: heightPx })).toEqual({ x: 0, y: 0 });
  });
});
