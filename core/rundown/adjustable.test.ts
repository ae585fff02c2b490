import { expect, test } from "vitest";
import { box, group, rectangle, solid, text, video } from "../../test-support/designs.ts";
import { templateOf } from "../../test-support/pages.ts";
import { adjustableParts } from "./adjustable.ts";

test("every part of the templates worn, by its field or its own name, each once; members go with their group", () => {
  const at = box(0, 0, 100, 50);
  const one = templateOf(
    rectangle("bed", at, solid("panel"), { editing: { name: "The bed" } }),
    text("words", "name", at, { min: 10, max: 20 }),
    group("row", at, [rectangle("in", at, solid("panel")), text("again", "name", at, { min: 10, max: 20 })]),
  );
  const other = templateOf(
    video("v", "clip", at, { showWhen: { kind: "notEmpty", field: "name" } }),
    rectangle("bed", at, solid("panel")),
  );
  const documents = new Map([
    ["a", one],
    ["b", other],
  ]);
  const wardrobe = { full: { template: "a", style: "s" }, band: { template: "b", style: "s" } };
  expect(adjustableParts({ wardrobe }, documents)).toEqual([
    { key: "#bed", name: "The bed", isHeard: false, isRuled: false },
    { key: "name", name: "words", isHeard: false, isRuled: false },
    { key: "#row", name: "row", isHeard: false, isRuled: false },
    { key: "clip", name: "v", isHeard: true, isRuled: true },
  ]);
});
