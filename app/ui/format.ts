import { t } from "../../core/language/t.ts";
import { readTimeOfDay } from "../../core/time/timeOfDay.ts";
import type { VenueLanguage } from "../../core/time/venueLanguage.ts";

/** "4:07", "1:02:33": how long something has lasted or will. */
export function formatLength(ms: number): string {
  const seconds = Math.max(0, Math.floor(ms / 1000));
  const s = String(seconds % 60).padStart(2, "0");
  const minutes = Math.floor(seconds / 60);
  if (minutes < 60) return `${minutes}:${s}`;
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, "0")}:${s}`;
}

/** "+0:12" over a plan, "−0:12" under it. */
export function formatOver(ms: number): string {
  const length = formatLength(Math.abs(ms));
  return length === "0:00" ? length : `${ms > 0 ? "+" : "−"}${length}`;
}

const HOUR_MS = 3_600_000;

/** A length as long as somebody counts the minutes; "7 d 4 h" when it is days. */
export function formatWait(ms: number): string {
  const hours = Math.floor(ms / HOUR_MS);
  return hours < 48 ? formatLength(ms) : `${Math.floor(hours / 24)} d ${hours % 24} h`;
}

/** Where and in which language times are told. */
export interface Locale {
  /** IANA. */
  readonly timeZone: string;
  readonly language: VenueLanguage;
}

/** "19:04:07", "7:04:07 PM" or "19.04.07" on the wall clock of a zone. */
export const formatTimeOfDay = (atMs: number, locale: Locale): string =>
  format(atMs, locale, { ...TO_THE_MINUTE, second: "2-digit" });

/** "19:04" or "7:04 PM". */
export const formatMinute = (atMs: number, locale: Locale): string => format(atMs, locale, TO_THE_MINUTE);

/** "Wed 25 Nov, 19:04" or "Wed, Nov 25, 7:04 PM". */
export const formatDay = (atMs: number, locale: Locale): string =>
  format(atMs, locale, { ...TO_THE_MINUTE, weekday: "short", day: "numeric", month: "short" });

/** "25 Nov 2026, 19:04" or "Nov 25, 2026, 7:04 PM". */
export const formatDate = (atMs: number, locale: Locale): string =>
  format(atMs, locale, { ...TO_THE_MINUTE, day: "numeric", month: "short", year: "numeric" });

const TO_THE_MINUTE = { hour: "2-digit", minute: "2-digit" } as const;
const formatters = new Map<string, Intl.DateTimeFormat>();

/** Dates are of the common calendar in the digits that everything else is in, wherever the venue is. */
function format(atMs: number, { timeZone, language }: Locale, parts: Intl.DateTimeFormatOptions): string {
  const key = [timeZone, language, ...Object.keys(parts)].join("/");
  let formatter = formatters.get(key);
  if (!formatter) {
    const usual = { timeZone, calendar: "gregory", numberingSystem: "latn", ...parts } as const;
    formatter = new Intl.DateTimeFormat(language, usual);
    // By twelve hours nobody writes "07:04 PM".
    if (formatter.resolvedOptions().hour12)
      formatter = new Intl.DateTimeFormat(language, { ...usual, hour: "numeric" });
    formatters.set(key, formatter);
  }
  return formatter.format(atMs);
}

/**
 * A planned time of day as the venue's language writes it, where that can be typed again; else by 24 hours.
 * @param time HH:MM or HH:MM:SS; empty stays so
 */
export function formatPlanned(time: string, language: VenueLanguage): string {
  if (time === "") return "";
  const isToTheSecond = time.length > "HH:MM".length;
  const written = (isToTheSecond ? formatTimeOfDay : formatMinute)(Date.parse(`1970-01-01T${time}Z`), {
    timeZone: "UTC",
    language,
  });
  return readTimeOfDay(written, isToTheSecond) === time ? written : time;
}

/** The size of a file, as people compare them. */
export function formatBytes(bytes: number): string {
  const mb = bytes / 1024 ** 2;
  if (mb >= 10 * 1024) return t`${Math.round(mb / 1024)} GB`;
  if (mb >= 10) return t`${Math.round(mb)} MB`;
  return mb >= 0.1 ? t`${mb.toFixed(1)} MB` : t`${Math.max(1, Math.round(bytes / 1024))} KB`;
}
