import { describe, expect, test } from "vitest";
import { eventTiming } from "./timing.ts";

const MIN = 60_000;
const cues = [
  { cueId: "a", plannedMs: 3 * MIN },
  { cueId: "b", plannedMs: null },
  { cueId: "c", plannedMs: 5 * MIN },
  { cueId: "d", plannedMs: 2 * MIN },
];

describe("planned against actual", () => {
  test("before it begins, the end is the planned one, or later when it is late", () => {
    const early = eventTiming(cues, {}, null, 100 * MIN, 90 * MIN);
    expect(early.cues.map(({ plannedAtMs }) => (plannedAtMs ?? 0) / MIN)).toEqual([100, 103, 103, 108]);
    expect([early.plannedEndMs, early.projectedEndMs]).toEqual([110 * MIN, 110 * MIN]);
    expect(eventTiming(cues, {}, null, 100 * MIN, 104 * MIN).projectedEndMs).toBe(114 * MIN);
  });

  test("a cue lasts to the take of the next; the present one eats into what is left, and no further than its own", () => {
    const started = { a: 100 * MIN, b: 104 * MIN, c: 105 * MIN };
    const running = eventTiming(cues, started, "c", 100 * MIN, 107 * MIN);
    expect(running.cues.map(({ tookMs }) => tookMs && tookMs / MIN)).toEqual([4, 1, 2, null]);
    expect(running.cues.map(({ overMs }) => overMs && overMs / MIN)).toEqual([1, null, -3, null]);
    expect(running.leftMs).toBe(5 * MIN);
    expect(running.projectedEndMs).toBe(112 * MIN);
    const over = eventTiming(cues, started, "c", 100 * MIN, 115 * MIN);
    expect(over.present?.overMs).toBe(5 * MIN);
    expect(over.projectedEndMs).toBe(117 * MIN);
  });

  test("what was jumped over has taken nothing, and with no plan there is no end", () => {
    const jumped = eventTiming(cues, { a: 0, d: MIN }, "d", 0, 2 * MIN);
    expect(jumped.cues.map(({ tookMs }) => tookMs)).toEqual([MIN, null, null, MIN]);
    const bare = eventTiming([{ cueId: "a", plannedMs: null }], { a: 0 }, "a", null, MIN);
    expect([bare.plannedEndMs, bare.projectedEndMs, bare.leftMs]).toEqual([null, null, 0]);
  });
});
