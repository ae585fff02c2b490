import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { divideByFit, divideByLines, uniteDivisions } from "./divide.ts";
import { BREAK_RANKS, type FlowUnit } from "./flow.ts";

const line = (text: string, mustBegin = false): FlowUnit => ({
  text,
  join: "line",
  mustBegin,
  endRank: "line",
  verse: null,
  second: null,
});
const lines = (count: number) => Array.from({ length: count }, (_, i) => line(`line ${i}`));

const unitsArbitrary = fc.array(
  fc.record({
    text: fc.constant("x"),
    join: fc.constant("line" as const),
    mustBegin: fc.boolean(),
    endRank: fc.constantFrom(...BREAK_RANKS),
    verse: fc.constant(null),
    second: fc.constant(null),
  }),
  { minLength: 1, maxLength: 40 },
);

describe("division by lines", () => {
  test("four on the wall, two in the band", () => {
    expect(divideByLines(lines(8), 4)).toEqual([0, 4]);
    expect(divideByLines(lines(8), 2)).toEqual([0, 2, 4, 6]);
  });

  test("no single line is left over where it can be helped", () => {
    expect(divideByLines(lines(5), 4)).toEqual([0, 3]);
    expect(divideByLines(lines(5), 2)).toEqual([0, 2, 4]);
    expect(divideByLines(lines(9), 4)).toEqual([0, 4, 7]);
  });

  test("a stanza begins a slide", () => {
    expect(divideByLines([line("a"), line("b"), line("c", true), line("d")], 4)).toEqual([0, 2]);
  });

  test("a number of lines that makes no sense is refused", () => {
    expect(() => divideByLines(lines(2), 0)).toThrow(/not 0/);
    expect(() => divideByLines(lines(2), 1.5)).toThrow(/not 1.5/);
  });

  test("seed 42: every line is on exactly one slide, in order, and no slide is too long", () => {
    fc.assert(
      fc.property(unitsArbitrary, fc.integer({ min: 1, max: 8 }), (units, max) => {
        const starts = divideByLines(units, max);
        const ends = [...starts.slice(1), units.length];
        expect(starts[0]).toBe(0);
        for (const [i, start] of starts.entries()) {
          const size = (ends[i] as number) - start;
          expect(size).toBeGreaterThan(0);
          expect(size).toBeLessThanOrEqual(max);
        }
        for (const [i, unit] of units.entries()) if (unit.mustBegin) expect(starts).toContain(i);
      }),
      { seed: 42 },
    );
  });
});

describe("division by fit", () => {
  const fillOf = (capacity: number) => (from: number, to: number) =>
    to - from <= capacity ? (to - from) / capacity : undefined;

  test("breaks at the better place, and evenly", () => {
    const ranked = (endRank: FlowUnit["endRank"]): FlowUnit => ({ ...line("x"), endRank });
    const units = ["clause", "verse", "clause", "clause", "verse", "verse"].map((rank) =>
      ranked(rank as FlowUnit["endRank"]),
    );
    expect(divideByFit(units, fillOf(4))).toEqual([0, 2]);
    expect(divideByFit(lines(6), fillOf(5))).toEqual([0, 3]);
  });

  test("seed 9: covers everything once, never more than fits, and is no dearer than greedy in slides", () => {
    fc.assert(
      fc.property(unitsArbitrary, fc.integer({ min: 1, max: 7 }), (units, capacity) => {
        const starts = divideByFit(units, fillOf(capacity));
        const ends = [...starts.slice(1), units.length];
        expect(starts[0]).toBe(0);
        for (const [i, start] of starts.entries()) {
          expect((ends[i] as number) - start).toBeLessThanOrEqual(capacity);
          expect((ends[i] as number) - start).toBeGreaterThan(0);
        }
        for (const [i, unit] of units.entries()) if (unit.mustBegin && i > 0) expect(starts).toContain(i);
      }),
      { seed: 9 },
    );
  });

  test("what does not fit at all is shown alone rather than lost", () => {
    expect(divideByFit(lines(3), () => undefined)).toEqual([0, 1, 2]);
  });
});

test("steps begin where any outfit begins a slide", () => {
  expect(
    uniteDivisions([
      [0, 4],
      [0, 2, 4, 6],
      [0, 3, 6],
    ]),
  ).toEqual([0, 2, 3, 4, 6]);
});
