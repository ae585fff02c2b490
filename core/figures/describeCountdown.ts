import { t } from "../language/t.ts";
import { formatSpan, parseDayAndTime, parseSpan, parseTimeOfDay } from "./clockText.ts";

/** What a countdown makes of what was typed, in words; undefined where it cannot read it. @param language BCP 47 */
export function describeCountdown(typed: string, language: string): string | undefined {
  const time = parseTimeOfDay(typed);
  if (time) return t`Counts to this time of day, the next one.`;
  const seconds = parseSpan(typed);
  if (seconds !== undefined) return t`Counts ${formatSpan(seconds)} from when it comes on air.`;
  const day = parseDayAndTime(typed);
  if (!day) return undefined;
  const { year, month, day: date, time: at } = day;
  const when = new Date(Date.UTC(year ?? 2024, month - 1, date, at.hours, at.minutes, at.seconds));
  const text = new Intl.DateTimeFormat(language, {
    timeZone: "UTC",
    day: "numeric",
    month: "long",
    ...(year === null ? {} : { year: "numeric" }),
    hour: "2-digit",
    minute: "2-digit",
  }).format(when);
  return t`Counts to ${text}${year === null ? t`, the next one` : ""}.`;
}
