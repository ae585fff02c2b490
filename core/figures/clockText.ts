/** Hours, minutes and seconds of a time of day. */
export interface TimeOfDay {
  readonly hours: number;
  readonly minutes: number;
  readonly seconds: number;
}

const formatters = new Map<string, Intl.DateTimeFormat>();

/** The wall clock of an IANA time zone at an instant. @throws RangeError for an unknown zone */
export function timeOfDayAt(atMs: number, timeZone: string): TimeOfDay {
  let formatter = formatters.get(timeZone);
  if (!formatter) {
    formatter = new Intl.DateTimeFormat("en-GB", {
      timeZone,
      hour: "2-digit",
      minute: "2-digit",
      second: "2-digit",
      hourCycle: "h23",
    });
    formatters.set(timeZone, formatter);
  }
  const [hours = 0, minutes = 0, seconds = 0] = formatter.format(atMs).split(":").map(Number);
  return { hours, minutes, seconds };
}

const two = (n: number) => String(n).padStart(2, "0");

export type ClockFormat = "hm" | "hms" | "hm12" | "hms12";

export function formatClock(atMs: number, format: ClockFormat, timeZone: string): string {
  const { hours, minutes, seconds } = timeOfDayAt(atMs, timeZone);
  const half = hours < 12 ? "am" : "pm";
  const ofTwelve = hours % 12 === 0 ? 12 : hours % 12;
  switch (format) {
    case "hm":
      return `${two(hours)}:${two(minutes)}`;
    case "hms":
      return `${two(hours)}:${two(minutes)}:${two(seconds)}`;
    case "hm12":
      return `${ofTwelve}:${two(minutes)} ${half}`;
    case "hms12":
      return `${ofTwelve}:${two(minutes)}:${two(seconds)} ${half}`;
  }
}

/** A length of time: "0:09", "12:30", "1:02:03". @param seconds whole, 0 or more */
export function formatSpan(seconds: number): string {
  const hours = Math.floor(seconds / 3_600);
  const minutes = Math.floor(seconds / 60) % 60;
  return hours > 0 ? `${hours}:${two(minutes)}:${two(seconds % 60)}` : `${minutes}:${two(seconds % 60)}`;
}

/**
 * "19:00", "19:00:30", "7.30 pm", "7pm", "noon" or "midnight" as a time of day. "5:00" is one too: a length is written with its unit
 * ("5 min").
 */
export function parseTimeOfDay(typed: string): TimeOfDay | undefined {
  const text = typed.trim().toLowerCase();
  if (text === "noon") return { hours: 12, minutes: 0, seconds: 0 };
  if (text === "midnight") return MIDNIGHT;
  const match = /^(\d{1,2})(?:[:.](\d{2})(?:[:.](\d{2}))?)?\s*(am|pm)?$/.exec(text);
  if (!match) return undefined;
  const half = match[4];
  let hours = Number(match[1]);
  // An hour alone may be anything.
  if (!half && match[2] === undefined) return undefined;
  if (half && (hours < 1 || hours > 12)) return undefined;
  if (half) hours = (hours % 12) + (half === "pm" ? 12 : 0);
  const minutes = Number(match[2] ?? 0);
  const seconds = Number(match[3] ?? 0);
  return hours < 24 && minutes < 60 && seconds < 60 ? { hours, minutes, seconds } : undefined;
}
const MIDNIGHT: TimeOfDay = { hours: 0, minutes: 0, seconds: 0 };

/** The longest that is counted: as many hours as three digits say. */
export const LONGEST_SPAN_SECONDS = 999 * 3_600;
const SECONDS_IN: Readonly<Record<string, number>> = { h: 3_600, m: 60, s: 1 };
/** A number with its unit, up to the next number. */
const LENGTH =
  /^(\d{1,4}(?:[.,]\d{1,2})?)\s*(h(?:(?:ou)?rs?)?|m(?:in(?:ute)?s?)?|s(?:ec(?:ond)?s?)?)?(?=[\s\d]|$)\s*(?:and\s+)?/;

/**
 * A length in seconds: "5 min", "90 s", "1 h 30 min", "1h30", "1.5 h", "in 10 minutes", "1:30 min"; a number alone is minutes ("5"),
 * and what is no time of day but looks like one is minutes and seconds ("25:00"). Undefined when it is none of these.
 */
export function parseSpan(typed: string): number | undefined {
  const text = typed
    .trim()
    .toLowerCase()
    .replace(/^in\s+/, "");
  const alone = /^\d{1,3}$/.exec(text);
  if (alone) return Number(text) * 60;
  const clock = /^(\d{1,3}):([0-5]\d)(\s*min(?:ute)?s?)?$/.exec(text);
  if (clock && (clock[3] || !parseTimeOfDay(text))) return Number(clock[1]) * 60 + Number(clock[2]);
  let sum = 0;
  let last = Number.POSITIVE_INFINITY;
  for (let rest = text; rest !== ""; ) {
    const found = LENGTH.exec(rest);
    // A number after hours is minutes, after minutes seconds.
    const unit = found?.[2] ? SECONDS_IN[found[2].charAt(0)] : last / 60;
    if (!found || unit === undefined || unit < 1 || unit >= last) return undefined;
    sum += Number(found[1]?.replace(",", ".")) * unit;
    last = unit;
    rest = rest.slice(found[0].length);
  }
  return Number.isFinite(last) && sum <= LONGEST_SPAN_SECONDS ? Math.round(sum) : undefined;
}

/** A time on a day; the year may be left to be found. */
export interface DayAndTime {
  readonly year: number | null;
  readonly month: number;
  readonly day: number;
  readonly time: TimeOfDay;
}

const MONTHS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];

/** "2026-12-24 18:00", "24.12.2026 18:00", "24.12. 18:00", "24 Dec 18:00" or "Dec 24, 2026 6 pm"; undefined when it is none of these. */
export function parseDayAndTime(typed: string): DayAndTime | undefined {
  const text = typed.trim().toLowerCase().replace(/,/g, " ").replace(/\s+/g, " ");
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})(?:[t ](.+))?$/.exec(text);
  const dotted = /^(\d{1,2})\.(\d{1,2})\.(\d{4})?(?: (.+))?$/.exec(text);
  const named = /^(\d{1,2})\.? ([a-z]{3,9})\.?(?: (\d{4}))?(?: (.+))?$/.exec(text);
  const american = /^([a-z]{3,9})\.? (\d{1,2})(?: (\d{4}))?(?: (.+))?$/.exec(text);
  const parts = iso
    ? [iso[1], iso[2], iso[3], iso[4]]
    : dotted
      ? [dotted[3], dotted[2], dotted[1], dotted[4]]
      : named
        ? [named[3], monthOf(named[2]), named[1], named[4]]
        : american
          ? [american[3], monthOf(american[1]), american[2], american[4]]
          : undefined;
  if (!parts) return undefined;
  const [year, month, day, clock] = parts;
  const time = clock === undefined ? MIDNIGHT : parseTimeOfDay(clock);
  const found = { year: year === undefined ? null : Number(year), month: Number(month), day: Number(day) };
  // The day must be one: 31.02. is none.
  const check = new Date(Date.UTC(found.year ?? 2024, found.month - 1, found.day));
  if (!time || check.getUTCMonth() !== found.month - 1 || check.getUTCDate() !== found.day) return undefined;
  return { ...found, time };
}

const monthOf = (name = "") => String(MONTHS.indexOf(name.slice(0, 3)) + 1);

/** The instant of a time on a day; of one without a year the first after `afterMs`. Undefined where the zone skips that day. */
export function instantOf(
  { year, month, day, time }: DayAndTime,
  afterMs: number,
  timeZone: string,
): number | undefined {
  const on = (of: number) =>
    timeOnDay(`${String(of).padStart(4, "0")}-${two(month)}-${two(day)}`, time, timeZone);
  if (year !== null) return on(year);
  // The 29th of February comes within eight years.
  const first = new Date(afterMs).getUTCFullYear();
  for (let of = first; of <= first + 8; of++) {
    if (new Date(Date.UTC(of, month - 1, day)).getUTCMonth() !== month - 1) continue;
    const atMs = on(of);
    if (atMs !== undefined && atMs > afterMs) return atMs;
  }
  return undefined;
}

const DAY_MS = 86_400_000;

/** The first instant after `afterMs` at which the zone's wall clock shows that time; right on days the clocks change, too. */
export function nextTimeOfDay(afterMs: number, time: TimeOfDay, timeZone: string): number {
  const wanted = (time.hours * 3_600 + time.minutes * 60 + time.seconds) * 1_000;
  const startOfSecond = Math.floor(afterMs / 1_000) * 1_000;
  const msOfDay = (atMs: number) => {
    const { hours, minutes, seconds } = timeOfDayAt(atMs, timeZone);
    return (hours * 3_600 + minutes * 60 + seconds) * 1_000;
  };
  let guess = startOfSecond + ((wanted - msOfDay(startOfSecond) + DAY_MS) % DAY_MS);
  if (guess <= afterMs) guess += DAY_MS;
  // Where the clocks change in between, the guess is an hour off: step by what the wall clock says there.
  let off = wanted - msOfDay(guess);
  if (off > DAY_MS / 2) off -= DAY_MS;
  if (off < -DAY_MS / 2) off += DAY_MS;
  return guess + off;
}

/** Before UTC's own, a day begins nowhere earlier than this. */
const EARLIEST_ZONE_MS = 14 * 3_600_000;

/**
 * The instant at which the zone's wall clock shows that time on that day.
 * @param day YYYY-MM-DD
 * @returns undefined where the zone skips the whole day
 */
export function timeOnDay(day: string, time: TimeOfDay, timeZone: string): number | undefined {
  const dayOf = new Intl.DateTimeFormat("en-CA", {
    timeZone,
    year: "numeric",
    month: "2-digit",
    day: "2-digit",
  });
  let atMs = Date.parse(`${day}T00:00:00Z`) - EARLIEST_ZONE_MS - 1;
  for (let days = 0; days < 3; days++) {
    atMs = nextTimeOfDay(atMs, time, timeZone);
    if (dayOf.format(atMs) === day) return atMs;
  }
  return undefined;
}
