import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { divideByFit, divideByLines, divideTogether, fitTogether, uniteDivisions } from "./divide.ts";
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

describe("divisions of several outfits together", () => {
  const holder = (maxLines: number, capacity = 99) => ({
    maxLines,
    fillOf: (from: number, to: number) => (to - from <= capacity ? (to - from) / capacity : undefined),
  });
  const presses = (starts: readonly (readonly number[])[]) => uniteDivisions(starts).length;

  test("a wall of four and a band of three lines begin their slides at the same presses", () => {
    const apart = [divideByLines(lines(8), 4), divideByLines(lines(8), 3)];
    expect(presses(apart)).toBe(4);
    const together = divideTogether(lines(8), [holder(4), holder(3)]);
    expect(presses(together)).toBe(3);
  });

  test("no slide of one line where two can be", () => {
    expect(divideTogether(lines(5), [holder(4), holder(2)])[0]).toEqual([0, 2]);
    expect(divideTogether(lines(7), [holder(4), holder(3)])).toEqual([
      [0, 3],
      [0, 3, 5],
    ]);
  });

  test("where there is a choice, a thought is not broken", () => {
    const text = ["a lamp", "on the quay.", "a net", "and a boat,", "and the tide", "is in"].map((words) =>
      line(words),
    );
    expect(divideByLines(text, 4)).toEqual([0, 2]);
  });

  test("seed 7: the fewest presses there can be, each fits every outfit, none takes more slides than it must", () => {
    fc.assert(
      fc.property(
        unitsArbitrary,
        fc.array(fc.tuple(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 6 })), {
          minLength: 1,
          maxLength: 4,
        }),
        (units, made) => {
          const holders = made.map(([most, capacity]) => holder(most, capacity));
          const together = divideTogether(units, holders);
          const united = uniteDivisions(together);
          const ends = [...united.slice(1), units.length];
          for (const [i, start] of united.entries())
            for (const { maxLines, fillOf } of holders) {
              expect((ends[i] as number) - start).toBeLessThanOrEqual(maxLines);
              if ((ends[i] as number) - start > 1) expect(fillOf(start, ends[i] as number)).toBeDefined();
            }
          // A model apart: the longest stretch that fits all, again and again, is the fewest there can be.
          const most = Math.min(...made.flat());
          let fewest = 0;
          for (let at = 0; at < units.length; fewest++) {
            let end = at + 1;
            while (end < units.length && end - at < most && !units[end]?.mustBegin) end++;
            at = end;
          }
          expect(united.length).toBe(fewest);
        },
      ),
      { seed: 7 },
    );
  });

  test("readings are divided together as well", () => {
    const units = Array.from({ length: 12 }, (_, i) => ({ ...line(`clause ${i},`), join: "space" as const }));
    const fill = (capacity: number) => holder(99, capacity).fillOf;
    const apart = presses([divideByFit(units, fill(6)), divideByFit(units, fill(5))]);
    const together = presses(fitTogether(units, [fill(6), fill(5)]));
    expect(together).toBeLessThan(apart);
  });
});
