import { describe, expect, test } from "vitest";
import { applyChanges, type Change, changesBetween, inverseOf } from "./changes.ts";
import type { Branch } from "./tree.ts";

const BAR: Branch = {
  id: "bar",
  kind: "rectangle",
  box: { x: 0, y: 900, width: 800, height: 90 },
  opacity: 1,
};
const NAME: Branch = { id: "name", kind: "text", box: { x: 40, y: 910, width: 700, height: 60 } };
const STRAP: Branch = { name: "Strap", objects: { bar: BAR, name: NAME }, order: ["bar", "name"] };

const applied = (tree: Branch, changes: readonly Change[]): Branch => {
  const result = applyChanges(tree, changes);
  if ("clashes" in result) throw new Error(`clashes at ${JSON.stringify(result.clashes)}`);
  return result.tree;
};
const moved = (tree: Branch, id: string, x: number): Branch => {
  const objects = tree.objects as Record<string, Branch>;
  const object = objects[id] as Branch;
  return { ...tree, objects: { ...objects, [id]: { ...object, box: { ...(object.box as Branch), x } } } };
};
const without = (tree: Branch, id: string): Branch => {
  const { [id]: _gone, ...objects } = tree.objects as Record<string, Branch>;
  return { ...tree, objects, order: (tree.order as string[]).filter((each) => each !== id) };
};

describe("changes", () => {
  test("say the least that makes one the other, and nothing where they are the same", () => {
    expect(changesBetween(STRAP, moved(STRAP, "bar", 20))).toEqual([
      { path: ["objects", "bar", "box", "x"], before: 0, after: 20 },
    ]);
    expect(changesBetween(STRAP, structuredClone(STRAP) as Branch)).toEqual([]);
  });

  test("make the other, and their inverse makes the first again", () => {
    const after: Branch = {
      ...without(moved(STRAP, "bar", 20), "name"),
      note: "shorter",
    };
    const changes = changesBetween(STRAP, after);
    expect(applied(STRAP, changes)).toEqual(after);
    expect(applied(after, inverseOf(changes))).toEqual(STRAP);
  });

  test("of two hands at different places of one object are both kept", () => {
    const mine = changesBetween(STRAP, moved(STRAP, "bar", 20));
    const theirs = moved(STRAP, "name", 60);
    const both = applied(theirs, mine);
    expect(both).toEqual(moved(moved(STRAP, "bar", 20), "name", 60));
  });

  test("of two hands at the same place clash, and nothing of them is made", () => {
    const mine = changesBetween(STRAP, moved(STRAP, "bar", 20));
    expect(applyChanges(moved(STRAP, "bar", 33), mine)).toEqual({
      clashes: [["objects", "bar", "box", "x"]],
    });
  });

  test("that stand already are no clash", () => {
    const after = moved(STRAP, "bar", 20);
    expect(applied(after, changesBetween(STRAP, after))).toEqual(after);
  });

  test("of an object that somebody took away, or took away what somebody changed, clash", () => {
    expect(applyChanges(without(STRAP, "bar"), changesBetween(STRAP, moved(STRAP, "bar", 20)))).toEqual({
      clashes: [["objects", "bar", "box", "x"]],
    });
    const gone = applyChanges(moved(STRAP, "bar", 20), changesBetween(STRAP, without(STRAP, "bar")));
    expect(gone).toEqual({ clashes: [["objects", "bar"]] });
  });

  test("of what an object of the language has by itself find nothing", () => {
    const at = applyChanges(STRAP, [{ path: ["objects", "constructor", "name"], before: "x", after: "y" }]);
    expect(at).toEqual({ clashes: [["objects", "constructor", "name"]] });
  });
});
