import { describe, expect, test } from "vitest";
import { type ShowWhen, showWhenSchema } from "../../scene/showWhen.ts";
import { rulesOf, sayShowWhen, showWhenOf } from "./rules.ts";

const NAMES = {
  field: (name: string) => ({ role: "Role", score: "Score" })[name] ?? name,
  object: (id: string) => (id === "bar" ? "The bar" : id),
};
const role = { kind: "notEmpty", field: "role" } as const;
const score = { kind: "number", field: "score", is: "above", than: 3 } as const;
const bar = { kind: "notDrawn", object: "bar" } as const;

describe("when an object is shown", () => {
  test.each<[ShowWhen, string]>([
    [{ kind: "always" }, "Always shown."],
    [role, "Shown when Role is not empty."],
    [{ kind: "all", of: [role, score] }, "Shown when Role is not empty and Score is over 3."],
    [{ kind: "any", of: [role, bar] }, "Shown when Role is not empty or “The bar” is not shown."],
    [
      { kind: "all", of: [{ kind: "any", of: [role, bar] }, score] },
      "Shown when (Role is not empty or “The bar” is not shown) and Score is over 3.",
    ],
    [{ kind: "longerThan", field: "role", characters: 1 }, "Shown when Role has more than 1 letter."],
    [{ kind: "equals", field: "role", text: "Host" }, "Shown when Role says “Host”."],
    [{ kind: "contains", field: "role", text: "ost" }, "Shown when Role has “ost” in it."],
  ])("is a sentence: %j", (showWhen, sentence) => {
    expect(sayShowWhen(showWhen, NAMES)).toBe(sentence);
  });

  test.each<ShowWhen>([
    { kind: "always" },
    role,
    { kind: "all", of: [role, score] },
    { kind: "any", of: [{ kind: "all", of: [role, bar] }, score] },
  ])("set by hand and written again is the same: %j", (showWhen) => {
    expect(showWhenOf(rulesOf(showWhen))).toEqual(showWhen);
  });

  test("the last rule taken away leaves it always shown; a group left alone is the whole", () => {
    expect(showWhenOf({ join: "any", rules: [] })).toEqual({ kind: "always" });
    const group = { kind: "any", of: [role, bar] } as const;
    const whole = showWhenOf({ join: "all", rules: [{ kind: "any", of: [role, bar] }] });
    expect(whole).toEqual(group);
    expect(showWhenSchema.parse(whole)).toEqual(group);
  });
});
