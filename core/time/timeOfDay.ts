import { z } from "zod";

/** A planned time, HH:MM in the show's time zone; empty when not said. */
export const plannedTimeSchema = z.union([z.literal(""), z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/)]);

const TYPED = /^(\d{1,2})(?:(?:\s*[:.h]\s*|\s)?(\d{2})(?:[:.]?(\d{2}))?)?\s*([ap])?\.?(?:m\.?)?$/i;

/**
 * A time of day as people type it: "19:30", "19.30", "19 h 30", "1930", "9", "19:30:15", "7:30 pm".
 * @param isToTheSecond whether seconds are given back too
 * @returns HH:MM or HH:MM:SS; undefined when it is no time
 */
export function readTimeOfDay(typed: string, isToTheSecond = false): string | undefined {
  const [, hour, minute = "00", second = "00", half] = TYPED.exec(typed.trim()) ?? [];
  if (hour === undefined) return undefined;
  let hours = Number(hour);
  if (half !== undefined) {
    if (hours < 1 || hours > 12) return undefined;
    hours = (hours % 12) + (half.toLowerCase() === "p" ? 12 : 0);
  }
  if (hours > 23 || Number(minute) > 59 || Number(second) > 59) return undefined;
  const parts = [String(hours).padStart(2, "0"), minute, ...(isToTheSecond ? [second] : [])];
  return parts.join(":");
}
