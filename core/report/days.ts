import { timeOnDay } from "../figures/clockText.ts";
import type { Range } from "./report.ts";

const MIDNIGHT = { hours: 0, minutes: 0, seconds: 0 };
/** For a zone whose clocks change at midnight. */
const ONE_O_CLOCK = { ...MIDNIGHT, hours: 1 };

const beginningOf = (day: string, timeZone: string): number | undefined =>
  timeOnDay(day, MIDNIGHT, timeZone) ?? timeOnDay(day, ONE_O_CLOCK, timeZone);

/**
 * Days as a stretch of time, the first and the last of them whole.
 * @param from YYYY-MM-DD
 * @param until YYYY-MM-DD
 * @returns undefined where one of them is no day, or the last is before the first
 */
export function rangeOfDays(from: string, until: string, timeZone: string): Range | undefined {
  if (!isDay(from) || !isDay(until) || until < from) return undefined;
  const after = new Date(Date.parse(until) + 24 * 60 * 60 * 1_000).toISOString().slice(0, 10);
  const [fromMs, untilMs] = [beginningOf(from, timeZone), beginningOf(after, timeZone)];
  return fromMs === undefined || untilMs === undefined ? undefined : { fromMs, untilMs: untilMs - 1 };
}

/** The 31st of February is none; reports are not of other centuries. */
function isDay(day: string): boolean {
  if (!/^2[01]\d\d-\d\d-\d\d$/.test(day)) return false;
  const atMs = Date.parse(`${day}T00:00:00Z`);
  return Number.isFinite(atMs) && new Date(atMs).toISOString().startsWith(day);
}
