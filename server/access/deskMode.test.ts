import { describe, expect, test } from "vitest";
import {
  type Grant,
  NOTHING_GRANTED,
  neededFor,
  ONLY_SEES,
  refusalOf,
} from "../../core/show/capabilities.ts";
import { commandSchema } from "../../core/show/commands.ts";
import { grantOfMode } from "../../core/show/deskMode.ts";
import { closedByMode } from "./deskMode.ts";

const modes = {
  "desk-that-works": "free",
  "desk-that-looks": "watching",
  "desk-with-a-lock": "locked",
} as const;
const grantOf = (id: string): Grant | undefined => {
  const mode = modes[id as keyof typeof modes];
  return mode && grantOfMode(mode);
};
const COMMANDS = commandSchema.options.map(({ shape }) => shape.kind.value);

describe("what a desk may do", () => {
  test.each([
    ["desk-that-works", undefined],
    ["desk-that-looks", /only watches/],
    ["desk-with-a-lock", /is locked/],
    ["no-such-desk", undefined],
    [null, undefined],
  ] as const)("a request that changes something, from %s", (id, sentence) => {
    const closed = closedByMode(id, "edit", grantOf);
    if (sentence) expect(closed).toMatch(sentence);
    else expect(closed).toBeUndefined();
    expect(closedByMode(id, "see", grantOf)).toBeUndefined();
  });

  test.each(COMMANDS)(
    "%s: a free desk may; a locked one may take, arm and take off; whoever watches may not",
    (kind) => {
      const needed = neededFor(kind);
      expect(refusalOf(grantOfMode("free"), needed)).toBeUndefined();
      expect(refusalOf(grantOfMode("watching"), needed)).toBe("onlyWatching");
      expect(refusalOf(ONLY_SEES, needed)).toBe("onlyShows");
      expect(refusalOf(NOTHING_GRANTED, needed)).toBe("notAllowed");
      const work = ["take", "arm", "disarm", "out", "goOn", "otherAtSource", "clip", "pad", "stopTriggers"];
      const isWork = work.includes(kind);
      expect(refusalOf(grantOfMode("locked"), needed)).toBe(isWork ? undefined : "locked");
    },
  );

  test("whoever scores one table scores no other, and does nothing else", () => {
    const entry: Grant = { can: ["see", "score"], tableId: "quiz", otherwise: "notAllowed" };
    expect(refusalOf(entry, "score", "quiz")).toBeUndefined();
    expect(refusalOf(entry, "score", "guests")).toBe("notAllowed");
    expect(refusalOf(entry, "score")).toBe("notAllowed");
    expect(refusalOf(entry, "take")).toBe("notAllowed");
    expect(refusalOf({ ...entry, tableId: null }, "score", "guests")).toBeUndefined();
  });
});
