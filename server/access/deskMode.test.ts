import { describe, expect, test } from "vitest";
import { refusalOfMode } from "../../core/show/deskMode.ts";
import { closedByMode } from "./deskMode.ts";

const modes = {
  "desk-that-works": "free",
  "desk-that-looks": "watching",
  "desk-with-a-lock": "locked",
} as const;
const modeOf = (id: string) => modes[id as keyof typeof modes];

describe("what a desk may do", () => {
  test.each([
    ["desk-that-works", undefined],
    ["desk-that-looks", /only watches/],
    ["desk-with-a-lock", /is locked/],
    ["no-such-desk", undefined],
    [null, undefined],
  ] as const)("a request that changes something, from %s", (id, sentence) => {
    const closed = closedByMode(id, modeOf);
    if (sentence) expect(closed).toMatch(sentence);
    else expect(closed).toBeUndefined();
  });

  test("locked, it takes, arms and takes off, and nothing else; watching, nothing at all", () => {
    for (const kind of ["take", "arm", "disarm", "out", "goOn"] as const) {
      expect(refusalOfMode("locked", kind)).toBeUndefined();
      expect(refusalOfMode("watching", kind)).toBe("onlyWatching");
    }
    for (const kind of ["clear", "clearEverything", "shut", "undo", "switchPlan", "send", "test"] as const)
      expect(refusalOfMode("locked", kind)).toBe("locked");
    expect(refusalOfMode("free", "clearEverything")).toBeUndefined();
  });
});
