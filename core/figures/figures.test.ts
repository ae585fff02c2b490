import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import {
  formatClock,
  formatSpan,
  nextTimeOfDay,
  parseSpan,
  parseTimeOfDay,
  timeOfDayAt,
  timeOnDay,
} from "./clockText.ts";
import { charactersOf, countdownTargetMs, type FiguresValue, figuresAt } from "./figures.ts";
import { formatNumber, parseNumber } from "./number.ts";

const LISBON = "Europe/Lisbon";
const at = (iso: string) => Date.parse(iso);

describe("clocks and countdowns", () => {
  test("the wall clock of a zone", () => {
    expect(formatClock(at("2026-11-24T19:05:09Z"), "hm", LISBON)).toBe("19:05");
    expect(formatClock(at("2026-07-24T19:05:09Z"), "hms", LISBON)).toBe("20:05:09");
    expect(formatClock(at("2026-11-24T00:05:09Z"), "hm12", LISBON)).toBe("12:05 am");
    expect(formatClock(at("2026-11-24T13:05:09Z"), "hm12", LISBON)).toBe("1:05 pm");
  });

  test("what people type as a time or a length", () => {
    expect(parseTimeOfDay("19:00")).toEqual({ hours: 19, minutes: 0, seconds: 0 });
    expect(parseTimeOfDay("7.30 pm")).toEqual({ hours: 19, minutes: 30, seconds: 0 });
    expect(parseTimeOfDay("12:00 am")).toEqual({ hours: 0, minutes: 0, seconds: 0 });
    for (const wrong of ["24:00", "9:60", "lunch", "13:00 pm", ""])
      expect(parseTimeOfDay(wrong)).toBeUndefined();
    expect(["5 min", "90 s", "1 h 30 min", "1:30 min", "2h"].map(parseSpan)).toEqual([
      300, 90, 5_400, 90, 7_200,
    ]);
    for (const wrong of ["", "soon", "19:00", "1234", "5:"]) expect(parseSpan(wrong)).toBeUndefined();
    // A number alone is minutes, and what is no time of day minutes and seconds.
    // As hurried strangers write them: common practice.
    expect(["5 mins", "2 hrs", "1h30", "1 min 30", "1.5 h", "1 hour and 5 minutes"].map(parseSpan)).toEqual([
      300, 7_200, 5_400, 90, 5_400, 3_900,
    ]);
    expect(parseSpan("In 10 minutes")).toBe(600);
    for (const wrong of ["30 s 5 min", "5 min 5 min", "1 s 3", "5 5", "9999 h", "h", "-5", "5 march"])
      expect(parseSpan(wrong)).toBeUndefined();
    expect(["7pm", "12 am", "noon", "midnight"].map((typed) => parseTimeOfDay(typed)?.hours)).toEqual([
      19, 0, 12, 0,
    ]);
    expect([parseTimeOfDay("7"), parseTimeOfDay("13pm")]).toEqual([undefined, undefined]);
    expect(["5", "90", "25:00", "90:30"].map(parseSpan)).toEqual([300, 5_400, 1_500, 5_430]);
    expect([9, 750, 3_723].map(formatSpan)).toEqual(["0:09", "12:30", "1:02:03"]);
  });

  test("the next such time, over midnight and on the days the clocks change", () => {
    const seven = { hours: 19, minutes: 0, seconds: 0 };
    expect(nextTimeOfDay(at("2026-11-24T18:59:59Z"), seven, LISBON)).toBe(at("2026-11-24T19:00:00Z"));
    expect(nextTimeOfDay(at("2026-11-24T19:00:00Z"), seven, LISBON)).toBe(at("2026-11-25T19:00:00Z"));
    // 29 March 2026: Lisbon goes from UTC to UTC+1; 25 October 2026: back.
    expect(nextTimeOfDay(at("2026-03-28T20:00:00Z"), seven, LISBON)).toBe(at("2026-03-29T18:00:00Z"));
    expect(nextTimeOfDay(at("2026-10-24T20:00:00Z"), seven, LISBON)).toBe(at("2026-10-25T19:00:00Z"));
  });

  test("a time on a day is that of the zone, wherever it lies", () => {
    const at = (day: string, hours: number, zone: string) =>
      new Date(timeOnDay(day, { hours, minutes: 30, seconds: 0 }, zone) ?? Number.NaN).toISOString();
    expect(at("2026-12-03", 18, "UTC")).toBe("2026-12-03T18:30:00.000Z");
    expect(at("2026-12-03", 0, "Pacific/Kiritimati")).toBe("2026-12-02T10:30:00.000Z");
    expect(at("2026-12-03", 23, "Pacific/Pago_Pago")).toBe("2026-12-04T10:30:00.000Z");
    // The evening before the clocks of this zone go back, and the one after.
    expect(at("2026-10-24", 19, "Europe/Berlin")).toBe("2026-10-24T17:30:00.000Z");
    expect(at("2026-10-25", 19, "Europe/Berlin")).toBe("2026-10-25T18:30:00.000Z");
    // Samoa went over the date line: it had no 30 December 2011 (tz database, australasia, Zone Pacific/Apia).
    expect(timeOnDay("2011-12-30", { hours: 12, minutes: 0, seconds: 0 }, "Pacific/Apia")).toBeUndefined();
  });

  test("seed 9: the next time is later, within a day and a bit, and the wall clock shows it", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: at("2026-01-01T00:00:00Z"), max: at("2027-01-01T00:00:00Z") }),
        fc.integer({ min: 3, max: 23 }),
        fc.integer({ min: 0, max: 59 }),
        fc.constantFrom(LISBON, "Asia/Kolkata", "America/New_York", "UTC"),
        (fromMs, hours, minutes, zone) => {
          const found = nextTimeOfDay(fromMs, { hours, minutes, seconds: 0 }, zone);
          expect(found).toBeGreaterThan(fromMs);
          expect(found - fromMs).toBeLessThanOrEqual(25 * 3_600_000);
          expect(timeOfDayAt(found, zone)).toEqual({ hours, minutes, seconds: 0 });
        },
      ),
      { seed: 9 },
    );
  });

  test("a countdown counts to its end, and does there what it was told", () => {
    const down = (atZero: "hold" | "blank" | "countUp"): FiguresValue => ({
      kind: "countdown",
      to: "2 min",
      timeZone: "UTC",
      atZero,
    });
    const text = (value: FiguresValue, ms: number) => figuresAt(value, 10_000, 10_000 + ms).text;
    expect([0, 1, 1_000, 119_001, 119_999].map((ms) => text(down("hold"), ms))).toEqual([
      "2:00",
      "2:00",
      "1:59",
      "0:01",
      "0:01",
    ]);
    expect([120_000, 125_000].map((ms) => text(down("hold"), ms))).toEqual(["0:00", "0:00"]);
    expect(text(down("blank"), 120_000)).toBe("");
    expect(text(down("countUp"), 125_000)).toBe("0:05");
    expect(
      countdownTargetMs({ kind: "countdown", to: "whenever", timeZone: "UTC", atZero: "hold" }, 0),
    ).toBeUndefined();
    expect(text({ kind: "countdown", to: "whenever", timeZone: "UTC", atZero: "hold" }, 5)).toBe("whenever");
  });

  test("seed 10: a text stays as it is until it says it will change, and uses only prepared characters", () => {
    const values: FiguresValue[] = [
      { kind: "clock", format: "hms", timeZone: LISBON },
      { kind: "clock", format: "hm", timeZone: LISBON },
      { kind: "clock", format: "hm12", timeZone: "Asia/Kolkata" },
      { kind: "countdown", to: "3 min", timeZone: "UTC", atZero: "countUp" },
      { kind: "countdown", to: "19:00", timeZone: LISBON, atZero: "hold" },
      { kind: "countUp", fromSeconds: 0 },
      {
        kind: "number",
        from: 0,
        to: 12_480.5,
        decimals: 1,
        before: "£",
        after: " so far",
        easing: "ease-out",
        delayMs: 0,
        durationMs: 900,
      },
    ];
    const since = at("2026-11-24T18:00:00Z");
    fc.assert(
      fc.property(
        fc.constantFrom(...values),
        fc.integer({ min: 0, max: 8_000_000 }),
        fc.double({ min: 0, max: 0.999, noNaN: true }),
        (value, after, part) => {
          const now = figuresAt(value, since, since + after);
          for (const character of now.text) expect(charactersOf(value)).toContain(character);
          if (now.changesAtMs <= since + after) return;
          const later = Number.isFinite(now.changesAtMs)
            ? since + after + (now.changesAtMs - since - after) * part
            : since + after + 1e9 * part;
          expect(figuresAt(value, since, later).text).toBe(now.text);
        },
      ),
      { seed: 10 },
    );
  });
});

describe("numbers", () => {
  test("are read with what stands around them, and grouped on screen", () => {
    expect(parseNumber("12 480 lanterns")).toEqual({
      value: 12_480,
      decimals: 0,
      before: "",
      after: " lanterns",
    });
    expect(parseNumber("£1,250.50")).toEqual({ value: 1_250.5, decimals: 2, before: "£", after: "" });
    expect(parseNumber("3,5 %")).toEqual({ value: 3.5, decimals: 1, before: "", after: " %" });
    expect(parseNumber("-7")?.value).toBe(-7);
    for (const wrong of ["", "none", "NaN", "3-2", "Infinity", "1e999"])
      expect(parseNumber(wrong)).toBeUndefined();
    expect([1_234, 12_345, 1_234_567].map((n) => formatNumber(n, 0))).toEqual([
      "1234",
      "12\u202f345",
      "1\u202f234\u202f567",
    ]);
    expect(formatNumber(-0.04, 1)).toBe("0.0");
    expect(() => formatNumber(Number.NaN, 0)).toThrow(/NaN/);
  });

  test("count from one value to the other and end exactly", () => {
    const value: FiguresValue = {
      kind: "number",
      from: 100,
      to: 142,
      decimals: 0,
      before: "",
      after: "",
      easing: "ease-out",
      delayMs: 200,
      durationMs: 1_000,
    };
    const text = (ms: number) => figuresAt(value, 0, ms).text;
    expect([0, 200, 1_200, 9_000].map(text)).toEqual(["100", "100", "142", "142"]);
    const counted = Array.from({ length: 50 }, (_, i) => Number(text(200 + i * 20)));
    expect(counted).toEqual([...counted].sort((a, b) => a - b));
  });
});
