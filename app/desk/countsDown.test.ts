import { expect, test } from "vitest";
import { countsDown } from "./countsDown.ts";

test("a page counts down where its time can be read, and what has no time does not", () => {
  const counts = (to: string) => countsDown({ fieldSet: "countdown", values: { to, label: "The walk" } });
  expect(["20:30", "5 min", "24 Dec 18:00"].map(counts)).toEqual([true, true, true]);
  // Nothing to pause, and no picture that changes by the minute: it stands still as it was typed.
  expect(["", "when the boats are in"].map(counts)).toEqual([false, false]);
  expect(countsDown({ fieldSet: "name", values: { name: "20:30" } })).toBe(false);
  expect(countsDown({ fieldSet: "gone", values: { to: "20:30" } })).toBe(false);
});
