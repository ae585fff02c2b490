import { expect, test } from "vitest";
import { sharing } from "./sharing.ts";

test("what says the same is the very object that it was, wherever it stands now", () => {
  const bar = { id: "bar", box: { x: 1, y: 2 } };
  const name = { id: "name", box: { x: 3, y: 4 } };
  const before = { objects: [bar, name], guides: [] };
  const copy = structuredClone({ objects: [name, { ...bar, box: { x: 9, y: 2 } }], guides: [] });
  const after = sharing(before, copy);
  expect(after).toEqual(copy);
  expect(after.objects[0]).toBe(name);
  expect(after.objects[1]).not.toBe(bar);
  expect(after.guides).toBe(before.guides);
  expect(sharing(before, structuredClone(before))).toBe(before);
});
