import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { plainText, readMarks, sliceMarked } from "./marks.ts";

const styles = (typed: string) =>
  readMarks(typed).stretches.map(({ start, end, style }) => [
    readMarks(typed).words.slice(start, end),
    [style.bold && "bold", style.italic && "italic", style.raised && "raised", style.color]
      .filter(Boolean)
      .join("+"),
  ]);

describe("marks", () => {
  test("style what stands between them, and can lie within one another", () => {
    expect(styles("*Carry* the **lamp *down*** ^23^")).toEqual([
      ["Carry", "italic"],
      [" the ", ""],
      ["lamp ", "bold"],
      ["down", "bold+italic"],
      [" ", ""],
      ["23", "raised"],
    ]);
    expect(styles("[accent|warm *and* bright] cold")).toEqual([
      ["warm ", "accent"],
      ["and", "italic+accent"],
      [" bright", "accent"],
      [" cold", ""],
    ]);
  });

  test("one that is never closed is a letter, and a backslash makes it one", () => {
    expect(readMarks("5 * 3 and ^").words).toBe("5 * 3 and ^");
    expect(readMarks("[Bridge] and [lamp|open").words).toBe("[Bridge] and [lamp|open");
    expect(readMarks("\\*not italic\\*").words).toBe("*not italic*");
    expect(readMarks("plain")).toEqual(plainText("plain"));
    expect(readMarks("")).toEqual(plainText(""));
  });

  test("seed 5: no letter is ever lost, stretches cover the words without gaps, and parts agree with the whole", () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom("a", "b", " ", "*", "^", "[", "]", "|", "\\", "é") }),
        fc.nat(12),
        fc.nat(12),
        (typed, a, b) => {
          const marked = readMarks(typed);
          expect(marked.words.replace(/[^abé ]/g, "")).toBe(
            typed
              .replace(/\[[a-z]{1,20}\|/g, (m) => (marked.words.includes(m) ? m : ""))
              .replace(/[^abé ]/g, ""),
          );
          let at = 0;
          for (const { start, end } of marked.stretches) {
            expect(start).toBe(at);
            at = end;
          }
          expect(at).toBe(marked.words.length);
          const [from, to] = [Math.min(a, b), Math.min(Math.max(a, b), marked.words.length)];
          if (from < to) expect(sliceMarked(marked, from, to).words).toBe(marked.words.slice(from, to));
        },
      ),
      { seed: 5 },
    );
  });
});
