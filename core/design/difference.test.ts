import { expect, test } from "vitest";
import { box, FIELD_SETS, HARBOUR_LAMP, make } from "../../test-support/designs.ts";
import { templateOf } from "../../test-support/pages.ts";
import type { FieldSet } from "../scene/fieldSet.ts";
import { differenceInWords } from "./designKinds.ts";

const bar = make("rectangle", { id: "bar", box: box(0, 0, 100, 50) });
const name = make("text", {
  ...{ id: "name", box: box(0, 0, 400, 80), minSizePx: 20, maxSizePx: 40 },
  words: { kind: "field", field: "name", lines: "all" },
});

test("of templates: what of which object, what came and what went", () => {
  const before = templateOf(bar, name);
  const after = {
    ...templateOf(
      { ...bar, opacity: 0.5, box: box(10, 0, 100, 50) },
      make("ellipse", { id: "dot", box: box(0, 0, 9, 9) }),
    ),
    name: "Strap",
  };
  expect(differenceInWords("template", before, after)).toEqual([
    `The name is “Strap”, was “${before.name}”.`,
    "“bar”: box and opacity.",
    "“name” was deleted.",
    "“dot” was added.",
  ]);
  expect(differenceInWords("template", before, templateOf(name, bar))).toEqual([
    "Objects lie in another order.",
  ]);
  expect(differenceInWords("template", before, before)).toEqual([]);
});

test("of styles and field sets", () => {
  const darker = { ...HARBOUR_LAMP, colors: { ...HARBOUR_LAMP.colors, ground: "#000000" } };
  expect(differenceInWords("style", HARBOUR_LAMP, darker)).toEqual([
    `The colour “ground” is “#000000”, was “${HARBOUR_LAMP.colors.ground}”.`,
  ]);
  const strap = FIELD_SETS.find(({ id }) => id === "name") as FieldSet;
  const [first] = strap.fields;
  const longer = { ...strap, fields: [{ ...first, label: "Who", maxLength: 200 }] } as FieldSet;
  expect(differenceInWords("fieldSet", strap, longer)).toEqual([
    "The field “Who” has another name and length.",
    "The field “Role” was deleted.",
  ]);
  const turned = { ...strap, fields: [...strap.fields].reverse() };
  expect(differenceInWords("fieldSet", strap, turned)).toEqual(["Fields stand in another order."]);
});
