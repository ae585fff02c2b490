import { expect, test } from "vitest";
import { FIELD_SETS } from "../../designs/fieldSets.ts";
import { countsDown } from "./countsDown.ts";

const fieldSets = new Map(FIELD_SETS.map((set) => [set.id, set]));

test("a page counts down where its time can be read, and what has no time does not", () => {
  const counts = (to: string) =>
    countsDown({ fieldSet: "countdown", values: { to, label: "The walk" } }, fieldSets);
  expect(["20:30", "5 min", "24 Dec 18:00"].map(counts)).toEqual([true, true, true]);
  // Nothing to pause, and no picture that changes by the minute: it stands still as it was typed.
  expect(["", "when the boats are in"].map(counts)).toEqual([false, false]);
  expect(countsDown({ fieldSet: "name", values: { name: "20:30" } }, fieldSets)).toBe(false);
  expect(countsDown({ fieldSet: "gone", values: { to: "20:30" } }, fieldSets)).toBe(false);
});
