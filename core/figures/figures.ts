import { type Easing, easeAt } from "../motion/easing.ts";
import {
  type ClockFormat,
  formatClock,
  formatSpan,
  instantOf,
  LONGEST_SPAN_SECONDS,
  nextTimeOfDay,
  parseDayAndTime,
  parseSpan,
  parseTimeOfDay,
} from "./clockText.ts";
import { formatNumber } from "./number.ts";

/** A text that the time alone decides. Resolved when its page is on air; `sinceMs` below is when that began. */
export type FiguresValue =
  | { readonly kind: "fixed"; readonly text: string }
  | { readonly kind: "clock"; readonly format: ClockFormat; readonly timeZone: string }
  | {
      readonly kind: "countdown";
      /** As typed: a time of day ("19:00"), of a day ("24 Dec 18:00"), or a length from when the page came ("5 min", "25:00"). */
      readonly to: string;
      readonly timeZone: string;
      readonly atZero: "hold" | "blank" | "countUp";
    }
  | { readonly kind: "countUp"; readonly fromSeconds: number }
  | {
      readonly kind: "number";
      readonly from: number;
      readonly to: number;
      readonly decimals: number;
      readonly easing: Easing;
      readonly delayMs: number;
      readonly durationMs: number;
      readonly before: string;
      readonly after: string;
    };

/** What it says at a time, and when it will next say something else (Infinity: never). */
export interface FiguresAt {
  readonly text: string;
  readonly changesAtMs: number;
}

/** @param sinceMs server time at which the page came; lengths count from it */
export function figuresAt(value: FiguresValue, sinceMs: number, atMs: number): FiguresAt {
  switch (value.kind) {
    case "fixed":
      return { text: value.text, changesAtMs: Number.POSITIVE_INFINITY };
    case "clock":
      return {
        text: formatClock(atMs, value.format, value.timeZone),
        changesAtMs: nextOf(value.format === "hms" || value.format === "hms12" ? 1_000 : 60_000, atMs),
      };
    case "countUp":
      return span(atMs - sinceMs + value.fromSeconds * 1_000, atMs, sinceMs);
    case "countdown": {
      const targetMs = countdownTargetMs(value, sinceMs);
      if (targetMs === undefined) return { text: value.to, changesAtMs: Number.POSITIVE_INFINITY };
      const leftMs = targetMs - atMs;
      if (leftMs > 0) {
        // A second that has begun still counts: "0:01" until the very end.
        const seconds = Math.ceil(leftMs / 1_000);
        return { text: formatSpan(seconds), changesAtMs: targetMs - (seconds - 1) * 1_000 };
      }
      if (value.atZero === "countUp") return span(-leftMs, atMs, targetMs);
      return { text: value.atZero === "hold" ? formatSpan(0) : "", changesAtMs: Number.POSITIVE_INFINITY };
    }
    case "number": {
      const progress = value.durationMs <= 0 ? 1 : (atMs - sinceMs - value.delayMs) / value.durationMs;
      const t = easeAt(value.easing, progress);
      const number = progress >= 1 ? value.to : value.from * (1 - t) + value.to * t;
      return {
        text: `${value.before}${formatNumber(number, value.decimals)}${value.after}`,
        changesAtMs: progress >= 1 ? Number.POSITIVE_INFINITY : Math.max(atMs, sinceMs + value.delayMs),
      };
    }
  }
}

function span(ms: number, atMs: number, fromMs: number): FiguresAt {
  const seconds = Math.max(0, Math.floor(ms / 1_000));
  const nextMs = atMs + 1_000 - ((((atMs - fromMs) % 1_000) + 1_000) % 1_000);
  return { text: formatSpan(seconds), changesAtMs: atMs < fromMs ? fromMs : nextMs };
}

/** Zones differ from UTC by whole minutes, so seconds and minutes begin together everywhere. */
const nextOf = (everyMs: number, atMs: number) => (Math.floor(atMs / everyMs) + 1) * everyMs;

/** The instant a countdown runs to; undefined when what was typed is neither a time of day nor a length. */
export function countdownTargetMs(
  { to, timeZone }: Extract<FiguresValue, { kind: "countdown" }>,
  sinceMs: number,
): number | undefined {
  const timeOfDay = parseTimeOfDay(to);
  if (timeOfDay) return nextTimeOfDay(sinceMs, timeOfDay, timeZone);
  const seconds = parseSpan(to);
  if (seconds !== undefined) return sinceMs + seconds * 1_000;
  const onDay = parseDayAndTime(to);
  return onDay && instantOf(onDay, sinceMs, timeZone);
}

/** Whether a countdown can run to what was typed. */
export const isCountable = (to: string): boolean =>
  parseTimeOfDay(to) !== undefined || parseSpan(to) !== undefined || parseDayAndTime(to) !== undefined;

/** Every character it can ever show, for preparing its plates. */
export function charactersOf(value: FiguresValue): string {
  switch (value.kind) {
    case "fixed":
      return value.text;
    case "clock":
      return value.format === "hm12" || value.format === "hms12" ? "0123456789: apm" : "0123456789:";
    case "countdown":
      return `0123456789:${isCountable(value.to) ? "" : value.to}`;
    case "countUp":
      return "0123456789:";
    case "number":
      return `0123456789-.,\u202f${value.before}${value.after}`;
  }
}

/** The widest text it will show, for the size of its box. */
export function widestOf(value: FiguresValue): string {
  switch (value.kind) {
    case "fixed":
      return value.text;
    case "clock":
      return { hm: "00:00", hms: "00:00:00", hm12: "00:00 pm", hms12: "00:00:00 pm" }[value.format];
    case "countdown": {
      const seconds = parseTimeOfDay(value.to)
        ? 86_399
        : (parseSpan(value.to) ?? (isCountable(value.to) ? LONGEST_SPAN_SECONDS : undefined));
      return seconds === undefined ? value.to : formatSpan(Math.max(600, seconds));
    }
    case "countUp":
      return "0:00:00";
    case "number": {
      const sides = [value.from, value.to].map((n) => formatNumber(n, value.decimals));
      const widest = sides.reduce((a, b) => (b.length > a.length ? b : a));
      return `${value.before}${widest}${value.after}`;
    }
  }
}

/** How much of a gauge is full at a time, and when it will next show something else. */
export interface ShareAt {
  readonly share: number;
  readonly changesAtMs: number;
}

/**
 * @param fullAt the number, or the seconds, at which it is full; null: a countdown is when it begins, a clock after a minute
 * @param steps how finely its picture tells one share from the next
 */
export function shareAt(
  value: FiguresValue,
  fullAt: number | null,
  sinceMs: number,
  atMs: number,
  steps: number,
): ShareAt {
  const running = (share: number, perMs: number): ShareAt => ({
    share: Math.max(0, Math.min(1, share)),
    changesAtMs:
      share <= 0 && perMs < 0 ? Number.POSITIVE_INFINITY : atMs + Math.max(16, 1 / (Math.abs(perMs) * steps)),
  });
  switch (value.kind) {
    case "fixed":
      return { share: 0, changesAtMs: Number.POSITIVE_INFINITY };
    case "clock":
      return running((atMs % 60_000) / 60_000, 1 / 60_000);
    case "countUp": {
      const fullMs = (fullAt ?? 60) * 1_000;
      const goneMs = Math.max(0, atMs - sinceMs) + value.fromSeconds * 1_000;
      if (goneMs >= fullMs) return { share: 1, changesAtMs: Number.POSITIVE_INFINITY };
      return running(goneMs / fullMs, 1 / fullMs);
    }
    case "countdown": {
      const targetMs = countdownTargetMs(value, sinceMs);
      if (targetMs === undefined) return { share: 0, changesAtMs: Number.POSITIVE_INFINITY };
      const fullMs = fullAt === null ? Math.max(1, targetMs - sinceMs) : fullAt * 1_000;
      const share = (targetMs - atMs) / fullMs;
      if (share > 1) return { share: 1, changesAtMs: targetMs - fullMs };
      return running(share, -1 / fullMs);
    }
    case "number": {
      const full = fullAt ?? 100;
      const progress = value.durationMs <= 0 ? 1 : (atMs - sinceMs - value.delayMs) / value.durationMs;
      const t = easeAt(value.easing, progress);
      const number = progress >= 1 ? value.to : value.from * (1 - t) + value.to * t;
      return {
        share: Math.max(0, Math.min(1, number / full)),
        changesAtMs: progress >= 1 ? Number.POSITIVE_INFINITY : Math.max(atMs, sinceMs + value.delayMs),
      };
    }
  }
}
