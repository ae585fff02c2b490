import { describe, expect, test } from "vitest";
import { eventTiming } from "./timing.ts";

const MIN = 60_000;
const cues = [
  { cueId: "a", plannedMs: 3 * MIN, fixedAtMs: null },
  { cueId: "b", plannedMs: null, fixedAtMs: null },
  { cueId: "c", plannedMs: 5 * MIN, fixedAtMs: null },
  { cueId: "d", plannedMs: 2 * MIN, fixedAtMs: null },
];
const from = (startsAtMs: number | null, endsAtMs: number | null = null) => ({ startsAtMs, endsAtMs });
const minutes = (times: readonly (number | null)[]) => times.map((ms) => (ms === null ? null : ms / MIN));

describe("planned against actual", () => {
  test("before it begins, the end is the planned one, or later when it is late", () => {
    const early = eventTiming(cues, {}, null, from(100 * MIN), 90 * MIN);
    expect(early.cues.map(({ plannedAtMs }) => (plannedAtMs ?? 0) / MIN)).toEqual([100, 103, 103, 108]);
    expect([early.plannedEndMs, early.projectedEndMs]).toEqual([110 * MIN, 110 * MIN]);
    expect(eventTiming(cues, {}, null, from(100 * MIN), 104 * MIN).projectedEndMs).toBe(114 * MIN);
  });

  test("a cue lasts to the take of the next; the present one eats into what is left, and no further than its own", () => {
    const started = { a: 100 * MIN, b: 104 * MIN, c: 105 * MIN };
    const running = eventTiming(cues, started, "c", from(100 * MIN), 107 * MIN);
    expect(running.cues.map(({ tookMs }) => tookMs && tookMs / MIN)).toEqual([4, 1, 2, null]);
    expect(running.cues.map(({ overMs }) => overMs && overMs / MIN)).toEqual([1, null, -3, null]);
    expect(running.leftMs).toBe(5 * MIN);
    expect(running.projectedEndMs).toBe(112 * MIN);
    const over = eventTiming(cues, started, "c", from(100 * MIN), 115 * MIN);
    expect(over.present?.overMs).toBe(5 * MIN);
    expect(over.projectedEndMs).toBe(117 * MIN);
  });

  test("what was jumped over has taken nothing, and with no plan there is no end", () => {
    const jumped = eventTiming(cues, { a: 0, d: MIN }, "d", from(0), 2 * MIN);
    expect(jumped.cues.map(({ tookMs }) => tookMs)).toEqual([MIN, null, null, MIN]);
    const bare = eventTiming(
      [{ cueId: "a", plannedMs: null, fixedAtMs: null }],
      { a: 0 },
      "a",
      from(null),
      MIN,
    );
    expect([bare.plannedEndMs, bare.projectedEndMs, bare.leftMs]).toEqual([null, null, 0]);
  });

  test("what is to come is expected one after another, and must begin by a time counted back from the end", () => {
    // Three minutes late in c, with two of its five gone; the evening must end at 110.
    const started = { a: 100 * MIN, b: 104 * MIN, c: 106 * MIN };
    const running = eventTiming(cues, started, "c", from(100 * MIN, 110 * MIN), 108 * MIN);
    expect(minutes(running.cues.map(({ expectedAtMs }) => expectedAtMs))).toEqual([null, null, null, 111]);
    expect(minutes(running.cues.map(({ beginByMs }) => beginByMs))).toEqual([100, 103, 103, 108]);
    expect(minutes([running.plannedEndMs, running.projectedEndMs])).toEqual([110, 113]);
  });

  test("a cue fixed to a time is planned for it, and waited for when all goes quicker", () => {
    const fixed = cues.map((cue) => (cue.cueId === "d" ? { ...cue, fixedAtMs: 120 * MIN } : cue));
    const early = eventTiming(fixed, {}, null, from(100 * MIN), 90 * MIN);
    expect(minutes(early.cues.map(({ plannedAtMs }) => plannedAtMs))).toEqual([100, 103, 103, 120]);
    expect(minutes(early.cues.map(({ expectedAtMs }) => expectedAtMs))).toEqual([100, 103, 103, 120]);
    expect(minutes([early.plannedEndMs, early.projectedEndMs, early.leftMs])).toEqual([122, 122, 10]);
    const late = eventTiming(fixed, { a: 119 * MIN }, "a", from(100 * MIN), 119 * MIN);
    expect(minutes([late.cues[3]?.expectedAtMs ?? null, late.projectedEndMs])).toEqual([127, 129]);
  });
});
