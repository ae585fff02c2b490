import { expect, test } from "vitest";
import type { Moment } from "./slot.ts";
import { expandStays, staysEndAt } from "./stay.ts";

const page = { cueId: "cue-1", content: "0".repeat(64), step: { occurrence: "page", unit: 0 } };
const moment = (startAtMs: number, endsAtMs: number | null, more: Partial<Moment> = {}): Moment => ({
  startAtMs,
  sinceMs: startAtMs,
  page,
  how: "animated",
  endsAtMs,
  lastsMs: 10_000,
  effectMs: null,
  ...more,
});
const shape = (slot: readonly Moment[]) =>
  slot.map(({ startAtMs, page: there }) => [startAtMs, there !== null]);

test("a stay that ends by itself is a moment of its own", () => {
  expect(shape(expandStays([moment(1_000, 9_000)]))).toEqual([
    [1_000, true],
    [9_000, false],
  ]);
  expect(expandStays([moment(1_000, 9_000, { effectMs: 400 })])[1]).toMatchObject({
    how: "animated",
    effectMs: 400,
  });
});

test("one that is taken off or followed before its end has no end of its own", () => {
  expect(shape(expandStays([moment(1_000, 9_000), moment(5_000, null)]))).toEqual([
    [1_000, true],
    [5_000, true],
  ]);
  expect(shape(expandStays([moment(1_000, 9_000), moment(12_000, null)]))).toEqual([
    [1_000, true],
    [9_000, false],
    [12_000, true],
  ]);
  expect(shape(expandStays([moment(1_000, null), moment(2_000, 4_000, { page: null })]))).toEqual([
    [1_000, true],
    [2_000, false],
  ]);
});

test("the ends are those of what is there last: on layers, on single screens, of the note", () => {
  expect(
    staysEndAt({
      slots: { titles: [moment(0, 3_000), moment(1_000, 8_000)], words: [moment(0, null)], corner: [] },
      overrides: { titles: { wall: [moment(0, 6_000)] } },
      stageNote: [moment(0, 7_000)],
    }),
  ).toEqual([8_000, 6_000, 7_000]);
});
