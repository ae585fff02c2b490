import { readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, test } from "vitest";
import { orderRuns, resolveBidi } from "./bidi.ts";

/** Source: BidiCharacterTest.txt of the Unicode Character Database 15.0 (UAX #9), every 37th line. */
const cases = readFileSync(join(import.meta.dirname, "testdata/BidiCharacterTest.sample.txt"), "utf8")
  .split("\n")
  .filter((line) => line !== "" && !line.startsWith("#"))
  .map((line) => {
    const [codes = "", direction = "", base = "", levels = "", order = ""] = line.split(";");
    return {
      text: codes
        .split(" ")
        .map((code) => String.fromCodePoint(Number.parseInt(code, 16)))
        .join(""),
      direction: Number(direction),
      base: Number(base),
      levels: levels.split(" "),
      order: order.trim() === "" ? [] : order.trim().split(/\s+/).map(Number),
    };
  })
  // All but a few lie in the basic plane, where a character is one UTF-16 unit.
  .filter(({ text, levels }) => text.length === levels.length);
const DIRECTIONS = ["ltr", "rtl", "auto"] as const;

describe("bidirectional text", () => {
  test("levels and visual order agree with the published test lines", () => {
    expect(cases.length).toBeGreaterThan(2_400);
    for (const { text, direction, base, levels, order } of cases) {
      const found = resolveBidi(text, DIRECTIONS[direction]);
      expect(found.base, text).toBe(base);
      const shown = [...text].map((_, i) => i).filter((i) => levels[i] !== "x");
      for (const i of shown) {
        // Rule L1 (white space at line ends) is applied when lines are set, where that space is cut off.
        if (/[\s\p{Cc}\p{Cf}]/u.test(text.slice(i, i + 1))) continue;
        expect(found.levels[i], `${JSON.stringify(text)} at ${i}`).toBe(Number(levels[i]));
      }
      const runs = shown.map((i) => ({ i, level: Number(levels[i]) }));
      expect(orderRuns(runs).map(({ i }) => i)).toEqual(order);
    }
  });
});
