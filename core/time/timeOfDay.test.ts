import * as fc from "fast-check";
import { expect, test } from "vitest";
import { plannedTimeSchema, readTimeOfDay } from "./timeOfDay.ts";

test.each([
  ["19:30", "19:30"],
  ["19.30", "19:30"],
  ["1930", "19:30"],
  ["930", "09:30"],
  [" 9 ", "09:00"],
  ["19h05", "19:05"],
  ["19:30:15", "19:30"],
  ["7:30 pm", "19:30"],
  ["7 p.m.", "19:00"],
  ["12 am", "00:00"],
  ["12:15pm", "12:15"],
  ["0:00", "00:00"],
  ["24:00", undefined],
  ["19:60", undefined],
  ["13 pm", undefined],
  ["0 am", undefined],
  ["half past", undefined],
  ["", undefined],
  ["1:2", undefined],
])("%j is %j", (typed, time) => expect(readTimeOfDay(typed)).toBe(time));

test("to the second where seconds count", () => {
  expect(readTimeOfDay("19:30", true)).toBe("19:30:00");
  expect(readTimeOfDay("193015", true)).toBe("19:30:15");
  expect(readTimeOfDay("19:30:61", true)).toBeUndefined();
});

test("seed 41: a time that is shown is read back as it is; whatever is read can be stored", () => {
  const two = (max: number) => fc.integer({ min: 0, max }).map((n) => String(n).padStart(2, "0"));
  fc.assert(
    fc.property(two(23), two(59), (hours, minutes) => {
      expect(readTimeOfDay(`${hours}:${minutes}`)).toBe(`${hours}:${minutes}`);
    }),
    { seed: 41 },
  );
  fc.assert(
    fc.property(fc.stringMatching(/^[0-9:.apm ]{0,8}$/), (typed) => {
      const time = readTimeOfDay(typed);
      if (time !== undefined) expect(plannedTimeSchema.safeParse(time).success).toBe(true);
    }),
    { seed: 41 },
  );
});
