import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { divideByLines } from "./divide.ts";
import type { FlowUnit } from "./flow.ts";
import { applyBreaks, breakAt, findBreak, placeBreaks, withBreak } from "./manualBreaks.ts";

const units = (...lines: string[]): FlowUnit[] =>
  lines.map((text) => ({ text, join: "line", mustBegin: false, endRank: "line", verse: null, second: null }));
const SONG = units("one lamp", "two lamps", "three lamps", "four lamps", "five lamps", "six lamps");

describe("slides parted and joined by hand", () => {
  test("a break is where it was made, for the outfits it was made for", () => {
    const starts = divideByLines(SONG, 3);
    expect(starts).toEqual([0, 3]);
    const split = breakAt("split", "V1", SONG, 2, ["wall"]);
    expect(applyBreaks(starts, [split], "V1", "wall", SONG)).toEqual([0, 2, 3]);
    expect(applyBreaks(starts, [split], "V1", "stream", SONG)).toEqual([0, 3]);
    expect(applyBreaks(starts, [split], "V2", "wall", SONG)).toEqual([0, 3]);
    const join = breakAt("join", "V1", SONG, 3, ["wall"]);
    expect(applyBreaks(starts, [join], "V1", "wall", SONG)).toEqual([0]);
  });

  test("the last word about a place holds", () => {
    const split = breakAt("split", "V1", SONG, 2, ["wall", "stream"]);
    const join = breakAt("join", "V1", SONG, 2, ["wall"]);
    const breaks = withBreak(withBreak([], split), join);
    expect(breaks.map(({ kind, outfits }) => [kind, outfits])).toEqual([
      ["split", ["stream"]],
      ["join", ["wall"]],
    ]);
    expect(applyBreaks([0, 3], breaks, "V1", "wall", SONG)).toEqual([0, 3]);
    expect(applyBreaks([0, 3], breaks, "V1", "stream", SONG)).toEqual([0, 2, 3]);
  });

  test("it keeps its place while other words change, and goes with its words", () => {
    const manual = breakAt("split", "V1", SONG, 2, ["wall"]);
    expect(findBreak(manual, units("zero", ...SONG.map(({ text }) => text)))).toBe(3);
    expect(findBreak(manual, units("one lamp", "two lamps", "a new line", "four lamps"))).toBe(2);
    expect(findBreak(manual, units("one lamp", "a new line", "THREE lamps!", "four lamps"))).toBe(2);
    expect(findBreak(manual, units("quite", "other", "words"))).toBeUndefined();
  });

  test("of places with the same words, it is the nearest to where it was", () => {
    const again = units("la la", "lo lo", "la la", "lo lo", "la la", "lo lo");
    const manual = breakAt("split", "C", again, 3, ["wall"]);
    expect(findBreak(manual, again)).toBe(3);
    expect(findBreak(manual, again.slice(2))).toBe(3);
  });

  test("a place where no slide can begin is refused by name", () => {
    expect(() => breakAt("split", "V1", SONG, 0, ["wall"])).toThrow(/unit 0/);
    expect(() => breakAt("split", "V1", SONG, 6, ["wall"])).toThrow(/unit 6/);
  });

  test("seed 5: whatever is parted or joined, slides cover every unit once and in order", () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom("a", "b", "c d", "e"), { minLength: 2, maxLength: 20 }),
        fc.array(fc.tuple(fc.constantFrom("split" as const, "join" as const), fc.nat(30)), { maxLength: 12 }),
        fc.integer({ min: 1, max: 6 }),
        (lines, wishes, perSlide) => {
          const own = units(...lines);
          const breaks = wishes.reduce(
            (all, [kind, at]) => withBreak(all, breakAt(kind, "V1", own, 1 + (at % (own.length - 1)), ["w"])),
            [] as ReturnType<typeof withBreak>,
          );
          const starts = applyBreaks(divideByLines(own, perSlide), breaks, "V1", "w", own);
          expect(starts[0]).toBe(0);
          expect([...starts].sort((a, b) => a - b)).toEqual(starts);
          expect(new Set(starts).size).toBe(starts.length);
          expect(starts.at(-1)).toBeLessThan(own.length);
        },
      ),
      { seed: 5 },
    );
  });

  test("outlive edits of the words on both sides, and another name of their section", () => {
    const manual = breakAt("split", "V1", units("the lamps are low tonight", "and the tide is in"), 1, [
      "wall",
    ]);
    const edited = units("a new first line", "the lamps were low tonight", "and the tide was in");
    expect(findBreak(manual, edited)).toBe(2);
    expect(placeBreaks([manual], new Map([["V7", edited]])).breaks).toMatchObject([
      { section: "V7", unit: 2 },
    ]);
  });

  test("whose words are gone are said", () => {
    const manual = breakAt("split", "V1", units("the lamps are low tonight", "and the tide is in"), 1, [
      "wall",
    ]);
    const placed = placeBreaks([manual], new Map([["V1", units("other words here", "and others there")]]));
    expect(placed).toEqual({ breaks: [], lost: [manual] });
  });
});
