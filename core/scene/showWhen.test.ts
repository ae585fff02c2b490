import { describe, expect, test } from "vitest";
import { box, group, rectangle, solid } from "../../test-support/designs.ts";
import { templateOf } from "../../test-support/pages.ts";
import { readTemplate } from "./readTemplate.ts";
import { drawnObjects, type ShowWhen, showWhenSchema } from "./showWhen.ts";

const NONE = new Map<string, string>();
const drawn = (rule: ShowWhen, values: Record<string, string>) =>
  drawnObjects([{ id: "it", showWhen: rule }], values, NONE).has("it");

describe("show-when rules", () => {
  test.each<[ShowWhen, Record<string, string>, boolean]>([
    [{ kind: "empty", field: "a" }, { a: "  " }, true],
    [{ kind: "empty", field: "a" }, { a: "x" }, false],
    [{ kind: "notEmpty", field: "a" }, {}, false],
    [{ kind: "equals", field: "a", text: "Harbour" }, { a: " harbour " }, true],
    [{ kind: "contains", field: "a", text: "lamp" }, { a: "The LAMP keeper" }, true],
    [{ kind: "contains", field: "a", text: "lamp" }, { a: "The keeper" }, false],
    [{ kind: "longerThan", field: "a", characters: 3 }, { a: "🪔🪔🪔" }, false],
    [{ kind: "longerThan", field: "a", characters: 3 }, { a: "🪔🪔🪔🪔" }, true],
    [{ kind: "number", field: "a", is: "atLeast", than: 100 }, { a: "1 250 lit" }, true],
    [{ kind: "number", field: "a", is: "below", than: 100 }, { a: "99.5" }, true],
    [{ kind: "number", field: "a", is: "equal", than: 0 }, { a: "none" }, false],
    [
      {
        kind: "all",
        of: [
          { kind: "notEmpty", field: "a" },
          { kind: "empty", field: "b" },
        ],
      },
      { a: "x" },
      true,
    ],
    [
      {
        kind: "any",
        of: [
          { kind: "notEmpty", field: "a" },
          { kind: "notEmpty", field: "b" },
        ],
      },
      {},
      false,
    ],
    [
      {
        kind: "any",
        of: [
          { kind: "equals", field: "a", text: "x" },
          {
            kind: "all",
            of: [
              { kind: "notEmpty", field: "b" },
              { kind: "longerThan", field: "b", characters: 1 },
            ],
          },
        ],
      },
      { b: "yy" },
      true,
    ],
  ])("%j with %j: %s", (rule, values, expected) => {
    expect(showWhenSchema.parse(rule)).toEqual(rule);
    expect(drawn(rule, values)).toBe(expected);
  });

  test("nesting goes one level and no further", () => {
    const inner = { kind: "all", of: [{ kind: "any", of: [{ kind: "empty", field: "a" }] }] };
    expect(showWhenSchema.safeParse(inner).success).toBe(true);
    expect(showWhenSchema.safeParse({ kind: "any", of: [inner] }).success).toBe(false);
  });

  test("an object may follow another, and what lies in an undrawn group is not drawn", () => {
    const objects = [
      { id: "words", showWhen: { kind: "notEmpty", field: "w" } as const },
      { id: "panel", showWhen: { kind: "drawn", object: "words" } as const },
      { id: "hint", showWhen: { kind: "notDrawn", object: "panel" } as const },
      { id: "group", showWhen: { kind: "notEmpty", field: "g" } as const },
      { id: "member", showWhen: { kind: "always" } as const },
    ];
    const parents = new Map([["member", "group"]]);
    expect([...drawnObjects(objects, { w: "x" }, parents)]).toEqual(["words", "panel"]);
    expect([...drawnObjects(objects, { g: "x" }, parents)]).toEqual(["hint", "group", "member"]);
  });

  test("rules that go in a circle are refused by name, over groups too", () => {
    const circle = templateOf(
      rectangle("one", box(0, 0, 9, 9), solid("accent"), { showWhen: { kind: "drawn", object: "two" } }),
      group("two", box(0, 0, 9, 9), [rectangle("three", box(0, 0, 9, 9), solid("accent"))], {
        showWhen: { kind: "all", of: [{ kind: "notDrawn", object: "three" }] },
      }),
    );
    expect(readTemplate(JSON.stringify(circle))).toEqual({
      problem: expect.stringMatching(/circle \(“two” → “three” → “two”\)/),
    });
    const self = templateOf(
      rectangle("me", box(0, 0, 9, 9), solid("accent"), { showWhen: { kind: "drawn", object: "me" } }),
    );
    expect(readTemplate(JSON.stringify(self))).toEqual({ problem: expect.stringMatching(/“me” → “me”/) });
  });
});
