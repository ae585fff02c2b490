import { describe, expect, test } from "vitest";
import { box, make } from "../../../test-support/designs.ts";
import { templateOf } from "../../../test-support/pages.ts";
import { shapesOf } from "../../scene/shapes.ts";
import { allObjects, type Template } from "../../scene/template.ts";
import { addShape, editInShape, giveBack, isOwnIn, removeShape } from "./inShape.ts";
import type { Boxes, Rect } from "./objects.ts";
import { withObjects } from "./objects.ts";
import { moveObjects } from "./place.ts";
import { groupObjects, insertObjects, removeObjects, restack, ungroup } from "./structure.ts";

const rect = (id: string, x: number, y: number, width = 300, height = 100) =>
  make("rectangle", { id, box: box(x, y, width, height) });
const TALL = { widthPx: 1080, heightPx: 1920 };
const BASE = addShape(
  templateOf(rect("a", 200, 800), rect("b", 600, 800), rect("c", 1000, 800)),
  "Portrait",
  TALL,
);
const inTall = (template: Template) => shapesOf(template)[1] as Template;
const boxesOf = (template: Template): Boxes =>
  new Map(allObjects(template).map(({ object }) => [object.id, object.box as Rect]));
const boxIn = (template: Template, id: string) => boxesOf(template).get(id);
const ids = (template: Pick<Template, "objects">) => template.objects.map(({ id }) => id).join(" ");

describe("a template changed in one of its shapes", () => {
  test("what is moved there is the shape's own; the others stand as they stood", () => {
    const moved = editInShape(BASE, 1, (shown) =>
      moveObjects(shown, ["b"], { xPx: 10, yPx: -40 }, boxesOf(shown)),
    );
    expect(moved.objects).toEqual(BASE.objects);
    const before = boxIn(inTall(BASE), "b") as Rect;
    expect(boxIn(inTall(moved), "b")?.x).toBeCloseTo(before.x + 10, 1);
    expect(boxIn(inTall(moved), "b")?.y).toBeCloseTo(before.y - 40, 1);
    expect(isOwnIn(moved, 1, "b")).toBe(true);
    expect(isOwnIn(moved, 1, "a")).toBe(false);
    expect(giveBack(moved, 1, "b")).toEqual(BASE);
    expect(giveBack(moved, 1)).toEqual(BASE);
  });

  test("a colour is one for all shapes", () => {
    const red = { kind: "solid", color: "#ff0000" } as const;
    const colored = editInShape(BASE, 1, (shown) =>
      withObjects(shown, (each) => (each.id === "a" ? ({ ...each, fill: red } as typeof each) : each)),
    );
    expect(colored.objects[0]).toMatchObject({ fill: red, box: { x: 200, y: 800 } });
    expect(colored.shapes).toEqual(BASE.shapes);
  });

  test("what is deleted there is left out there, and is in the others", () => {
    const without = editInShape(BASE, 1, (shown) => removeObjects(shown, ["b"]));
    expect(ids(without)).toBe("a b c");
    expect(ids(inTall(without))).toBe("a c");
    // And it keeps its place when something else is changed.
    const again = editInShape(without, 1, (shown) => restack(shown, ["a"], "front"));
    expect(ids(inTall(again))).toBe("c a");
    expect(ids(again).split(" ").toSorted()).toEqual(["a", "b", "c"]);
  });

  test("what is made there is in every shape, and there where it was put", () => {
    const made = editInShape(
      BASE,
      1,
      (shown) => insertObjects(shown, [rect("new", 100, 200, 216, 108)]).template,
    );
    expect(ids(made)).toBe("a b c new");
    expect(boxIn(inTall(made), "new")).toEqual({ x: 100, y: 200, width: 216, height: 108 });
    // It arranges the rest anew, which yet stands as it was seen.
    for (const id of ["a", "b", "c"]) expect(boxIn(inTall(made), id)).toEqual(boxIn(inTall(BASE), id));
  });

  test("groups made and taken apart there are so everywhere", () => {
    const grouped = editInShape(BASE, 1, (shown) => {
      const made = groupObjects(shown, ["a", "b"], boxesOf(shown));
      if (!made) throw new Error("not grouped");
      return made.template;
    });
    expect(ids(grouped)).toBe("group c");
    expect(boxIn(grouped, "a")).toMatchObject({ x: 200, y: 800 });
    const apart = editInShape(grouped, 1, (shown) => ungroup(shown, "group"));
    expect(ids(apart)).toBe("a b c");
    expect(allObjects(inTall(apart)).map(({ object }) => object.id)).toEqual(["a", "b", "c"]);
  });

  test("its own canvas is changed as it is; a shape may go again", () => {
    const moved = editInShape(BASE, 0, (shown) =>
      moveObjects(shown, ["a"], { xPx: 5, yPx: 0 }, boxesOf(shown)),
    );
    expect(boxIn(moved, "a")).toMatchObject({ x: 205 });
    expect(removeShape(moved, 1).shapes).toEqual([]);
  });
});
