import { describe, expect, test } from "vitest";
import { box, make } from "../../../test-support/designs.ts";
import { templateOf } from "../../../test-support/pages.ts";
import type { Template } from "../../scene/template.ts";
import { alignObjects, distributeObjects, equalSizes } from "./arrange.ts";
import { type Boxes, freeId, outermost, type Rect } from "./objects.ts";
import { moveObjects, outside, placeObject } from "./place.ts";
import { readFigure } from "./readFigure.ts";
import { groupObjects, insertObjects, moveInto, removeObjects, restack, ungroup } from "./structure.ts";

const rect = (id: string, x: number, y: number, width = 100, height = 50) =>
  make("rectangle", { id, box: box(x, y, width, height) });
const ROW = templateOf(rect("a", 0, 0), rect("b", 120, 10), rect("c", 400, 40, 200, 80));

/** Where objects stand as they are written. */
function boxesOf(template: Template): Boxes {
  const found = new Map<string, Rect>();
  const walk = (objects: Template["objects"]): void => {
    for (const object of objects) {
      if (object.kind === "unreadable") continue;
      found.set(object.id, object.box as Rect);
      if (object.kind === "group") walk(object.objects as Template["objects"]);
    }
  };
  walk(template.objects);
  return found;
}
const boxIn = (template: Template, id: string) => boxesOf(template).get(id);
const order = (template: Template) => template.objects.map(({ id }) => id).join(" ");
const grouped = (ids: readonly string[]) => {
  const made = groupObjects(ROW, ids, boxesOf(ROW));
  if (!made) throw new Error("not grouped");
  return made;
};

describe("objects are moved and sized", () => {
  test("what is not chosen stays the very object that it was", () => {
    const moved = moveObjects(ROW, ["b"], { xPx: 7, yPx: -3 }, boxesOf(ROW));
    expect(boxIn(moved, "b")).toEqual({ x: 127, y: 7, width: 100, height: 50 });
    expect(moved.objects[0]).toBe(ROW.objects[0]);
    expect(moveObjects(ROW, ["b"], { xPx: 0, yPx: 0 }, boxesOf(ROW))).toBe(ROW);
  });

  test("a group takes its members along, once, though they were chosen too", () => {
    const { template, groupId } = grouped(["a", "b"]);
    expect(outermost(template, ["a", groupId])).toEqual([groupId]);
    const moved = moveObjects(template, [groupId, "a"], { xPx: 10, yPx: 0 }, boxesOf(template));
    expect([boxIn(moved, groupId)?.x, boxIn(moved, "a")?.x, boxIn(moved, "b")?.x]).toEqual([10, 10, 130]);
    const wider = placeObject(template, groupId, { x: 0, y: 0, width: 440, height: 60 }, boxesOf(template));
    expect(boxIn(wider, "b")).toEqual({ x: 240, y: 10, width: 200, height: 50 });
  });

  test("less than nothing is nothing, and what is off the canvas is found", () => {
    const flat = placeObject(ROW, "a", { x: 5, y: 5, width: -20, height: 10 }, boxesOf(ROW));
    expect(boxIn(flat, "a")).toMatchObject({ width: 0, height: 10 });
    const away = moveObjects(ROW, ["c"], { xPx: 5_000, yPx: 0 }, boxesOf(ROW));
    expect(outside(away, boxesOf(away))).toEqual(["c"]);
  });
});

describe("objects are arranged", () => {
  test("several with one another, one with the canvas", () => {
    const right = alignObjects(ROW, ["a", "b", "c"], "right", boxesOf(ROW));
    expect(["a", "b", "c"].map((id) => boxIn(right, id)?.x)).toEqual([500, 500, 400]);
    const middle = alignObjects(ROW, ["a"], "middle", boxesOf(ROW));
    expect(boxIn(middle, "a")?.y).toBe((ROW.canvas.heightPx - 50) / 2);
  });

  test("room between them is the same, and the ends stay", () => {
    const even = distributeObjects(ROW, ["c", "a", "b"], "x", boxesOf(ROW));
    expect(["a", "b", "c"].map((id) => boxIn(even, id)?.x)).toEqual([0, 200, 400]);
    expect(distributeObjects(ROW, ["a", "b"], "x", boxesOf(ROW))).toBe(ROW);
    const same = equalSizes(ROW, ["c", "a"], "width", boxesOf(ROW));
    expect([boxIn(same, "a")?.width, boxIn(same, "b")?.width]).toEqual([200, 100]);
  });

  test("forward and back, several keeping their own order", () => {
    expect(order(restack(ROW, ["a", "b"], "forward"))).toBe("c a b");
    expect(order(restack(ROW, ["b", "c"], "backward"))).toBe("b c a");
    expect(order(restack(ROW, ["a"], "front"))).toBe("b c a");
    expect(order(restack(ROW, ["c"], "back"))).toBe("c a b");
    expect(order(restack(ROW, ["c"], "forward"))).toBe("a b c");
  });
});

describe("objects are grouped, copied and taken away", () => {
  test("a group stands where its frontmost was, and comes apart again in the same order", () => {
    const { template, groupId } = grouped(["a", "c"]);
    expect(order(template)).toBe(`b ${groupId}`);
    expect(boxIn(template, groupId)).toEqual({ x: 0, y: 0, width: 600, height: 120 });
    expect(order(ungroup(template, groupId))).toBe("b a c");
    // Deeper than groups of groups the format does not go.
    const outer = groupObjects(template, [groupId, "b"], boxesOf(template));
    expect(outer).toBeDefined();
    if (!outer) return;
    expect(groupObjects(outer.template, [outer.groupId], boxesOf(outer.template))).toBeUndefined();
  });

  test("an object is put into a group and out again; a group not into itself", () => {
    const { template, groupId } = grouped(["a", "b"]);
    const inside = moveInto(template, "c", groupId, 0);
    expect(order(inside)).toBe(groupId);
    expect(order(moveInto(inside, "c", null, 0))).toBe(`c ${groupId}`);
    expect(moveInto(template, groupId, groupId, 0)).toBe(template);
    expect(order(removeObjects(inside, ["c"]))).toBe(groupId);
  });

  test("copies have ids of their own, and refer to one another as the originals did", () => {
    const words = make("text", {
      ...{ id: "words", box: box(0, 0, 400, 80), minSizePx: 20, maxSizePx: 40 },
      words: { kind: "field", field: "name", lines: "all" },
    });
    const under = make("rectangle", {
      ...{ id: "under", box: box(0, 0, 10, 10) },
      showWhen: { kind: "drawn", object: "words" },
    });
    const from = templateOf(words, under);
    const { template, ids } = insertObjects(from, [words, under], { xPx: 20, yPx: 20 });
    expect(ids).toEqual(["words 2", "under 2"]);
    expect(template.objects.at(-1)).toMatchObject({
      showWhen: { kind: "drawn", object: "words 2" },
      box: { x: 20, y: 20 },
    });
    expect(template.objects[2]).toMatchObject({ words: { field: "name" } });
    expect(freeId(template, "words 2")).toBe("words 3");
    expect(freeId(template, "constructor")).toBe("constructor 2");
  });
});

describe("figures as they are typed", () => {
  test.each([
    ["12", 12],
    ["12,5", 12.5],
    ["1920/3", 640],
    ["(40+8)*2", 96],
    ["-40", -40],
    ["+10", 110],
    ["- 4", 96],
    ["-=4", 96],
    ["*2", 200],
    ["/4", 25],
    ["50%", 540],
    ["100%-40", 1_040],
    ["2(3)", undefined],
    ["1/0", undefined],
    ["wide", undefined],
    ["", undefined],
    ["1..2", undefined],
    ["(1", undefined],
  ])("%s", (typed, read) => {
    expect(readFigure(typed, 100, 1_080)).toBe(read);
  });

  test("a share of nothing is no figure", () => {
    expect(readFigure("50%", 100)).toBeUndefined();
  });
});
