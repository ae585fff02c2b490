import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { describe, expect, test } from "vitest";
import { findBreaks } from "./breaks.ts";

/**
 * Source: LineBreakTest.txt of the Unicode Character Database 7.0 (UAX #14), carried by the npm package "linebreak"
 * 0.3.0. The library in use follows a newer version of the annex, so the rules that changed since are counted apart.
 */
const folder = dirname(createRequire(import.meta.url).resolve("linebreak-with-tests/package.json"));
const cases = readFileSync(join(folder, "test/LineBreakTest.txt"), "utf8")
  .split("\n")
  .filter((line) => line !== "" && !line.startsWith("#"))
  .map((line) => {
    const [marks = ""] = line.split("#");
    const tokens = marks.trim().split(/\s+/);
    let text = "";
    const breaks: number[] = [];
    for (const token of tokens) {
      if (token === "÷") breaks.push(text.length);
      else if (token !== "×") text += String.fromCodePoint(Number.parseInt(token, 16));
    }
    return { text, breaks: breaks.filter((at) => at > 0), line };
  });

describe("line break opportunities", () => {
  test("agree with the published test lines, but for rules revised since", () => {
    expect(cases.length).toBeGreaterThan(6_000);
    const different = cases.filter(({ text, breaks }) => {
      const found = findBreaks(text).map(({ at }) => at);
      return found.join() !== breaks.join();
    });
    // LB8a, LB21a, LB22 and the numeric rules were revised in Unicode 9 to 13.
    expect(different.length / cases.length).toBeLessThan(0.02);
  });

  test("end with the end of the text and grow", () => {
    const found = findBreaks("the slip is dark with rain").map(({ at }) => at);
    expect(found).toEqual([4, 9, 12, 17, 22, 26]);
  });
});
