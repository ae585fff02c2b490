import { describe, expect, test } from "vitest";
import {
  AIR_ACTION_IDS,
  AIR_ACTIONS,
  addKey,
  findAction,
  keyMapSchema,
  keysOf,
  removeKey,
} from "./keyMap.ts";

describe("keys", () => {
  test("no two actions have the same usual key, and a clicker's keys are among them", () => {
    const all = AIR_ACTION_IDS.flatMap((action) => AIR_ACTIONS[action].defaults);
    expect(new Set(all).size).toBe(all.length);
    // Presentation clickers send these (common practice).
    expect(findAction({}, "PageDown")).toBe("take");
    expect(findAction({}, "PageUp")).toBe("back");
    expect(findAction({}, ".")).toBe("blackAtOnce");
    expect(findAction({}, "b")).toBe("blackAtOnce");
    expect(findAction({}, "F5")).toBe("follow");
  });

  test("a letter is one key with and without Shift", () => {
    expect(findAction({}, "X")).toBe("cut");
    expect(addKey({}, "cut", "J")).toEqual({ map: { cut: ["x", "j"] } });
  });

  test("clashes and keys of other meaning are refused in a sentence, and change nothing", () => {
    expect(addKey({}, "undo", "x")).toEqual({ problem: expect.stringContaining("“Cut”") });
    expect(addKey({}, "undo", "3")).toEqual({ problem: expect.stringContaining("“Layer 3 out”") });
    expect(addKey({}, "undo", "f")).toEqual({ problem: expect.stringContaining("Find") });
    expect(addKey({}, "undo", "u")).toEqual({ map: {} });
  });

  test("a key that was taken away is free for another action", () => {
    const without = removeKey({}, "dissolve", "d");
    if ("problem" in without) throw new Error(without.problem);
    const given = addKey(without.map, "undo", "d");
    if ("problem" in given) throw new Error(given.problem);
    expect(findAction(given.map, "d")).toBe("undo");
    expect(keysOf(given.map, "dissolve")).toEqual([]);
    expect(keyMapSchema.parse(JSON.parse(JSON.stringify(given.map)))).toEqual(given.map);
  });

  test("the take is never without a key", () => {
    const one = removeKey({}, "take", "PageDown");
    if ("problem" in one) throw new Error(one.problem);
    expect(removeKey(one.map, "take", " ")).toEqual({ problem: expect.stringContaining("one key at least") });
  });
});
