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

describe("scripts without spaces", () => {
  const parts = (text: string) => {
    let from = 0;
    return findBreaks(text).map(({ at }) => {
      const part = text.slice(from, at);
      from = at;
      return part;
    });
  };

  test("Thai, Lao, Khmer and Burmese break between words, never within one", () => {
    expect(parts("แสงสว่างในความมืด")).toEqual(["แสง", "สว่าง", "ใน", "ความ", "มืด"]);
    for (const text of ["ແສງສະຫວ່າງໃນຄວາມມືດ", "ពន្លឺក្នុងភាពងងឹត", "အမှောင်ထဲမှအလင်း"]) {
      const found = parts(text);
      expect(found.length).toBeGreaterThan(1);
      expect(found.join("")).toBe(text);
      // No part begins with a mark that belongs to the letter before it.
      for (const part of found) expect(part).not.toMatch(/^\p{M}/u);
    }
  });

  /**
   * Sources: Requirements for Japanese Text Layout (W3C), 3.1.7 and 3.1.8, and Requirements for Chinese Text Layout
   * (W3C), 3.1.3 (from memory): what may not begin a line, and what may not end one.
   */
  test.each([..."、。，．・：；？！）］｝」』】〉》〕’”ー々ぁぃぅぇぉっゃゅょァィゥェォッャュョ"])(
    "%s begins no line",
    (mark) => {
      const text = `灯りが低くなる${mark}ころに`;
      expect(findBreaks(text).map(({ at }) => at)).not.toContain(text.indexOf(mark));
    },
  );
  test.each([..."（［｛「『【〈《〔"])("%s ends no line", (mark) => {
    const text = `灯りが${mark}低くなる`;
    expect(findBreaks(text).map(({ at }) => at)).not.toContain(text.indexOf(mark) + 1);
  });
});
