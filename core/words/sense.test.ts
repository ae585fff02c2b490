import { describe, expect, test } from "vitest";
import { joinUnits } from "./flow.ts";
import { findHalf, halveUnit, verseUnits } from "./sense.ts";

const VERSE = { chapter: 1, verse: 1 };
const CHINESE = "起初神创造天地，地是空虚混沌，渊面黑暗；神的灵运行在水面上。";
const JAPANESE = "灯りが低くなるころに潮は静かに満ちてくる水辺まで運んでゆこう";

describe("words without spaces", () => {
  test("are parted at their marks, and joined again with nothing between", () => {
    const units = verseUnits(CHINESE, VERSE);
    expect(units.length).toBeGreaterThan(2);
    for (const { text } of units) expect(text).toMatch(/[，；。]$/);
    expect(joinUnits(units, 0, units.length)).toBe(CHINESE);
  });

  test("a line that is too long is parted where a line may end, not within a word of marks", () => {
    const at = findHalf(JAPANESE);
    expect(at).toBeGreaterThan(8);
    expect(at).toBeLessThan(JAPANESE.length - 8);
    const unit = {
      text: JAPANESE,
      join: "line",
      mustBegin: false,
      endRank: "line",
      verse: null,
      second: null,
    } as const;
    const halves = halveUnit(unit);
    expect(halves && joinUnits(halves, 0, 2)).toBe(JAPANESE);
  });

  test("Thai is parted between words", () => {
    const at = findHalf("แสงสว่างในความมืดของเรา") ?? 0;
    expect(["แสง", "แสงสว่าง", "แสงสว่างใน", "แสงสว่างในความ", "แสงสว่างในความมืด"]).toContain(
      "แสงสว่างในความมืดของเรา".slice(0, at),
    );
  });

  test("words with spaces are joined with spaces", () => {
    const prose = "In the beginning, there was a lamp; and the lamp was lit. Then came the tide.";
    const units = verseUnits(prose, VERSE);
    expect(joinUnits(units, 0, units.length)).toBe(prose);
  });
});
