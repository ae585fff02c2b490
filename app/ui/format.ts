import { timeOfDayAt } from "../../core/figures/clockText.ts";

/** "4:07", "1:02:33": how long something has lasted or will. */
export function formatLength(ms: number): string {
  const seconds = Math.max(0, Math.floor(ms / 1000));
  const s = String(seconds % 60).padStart(2, "0");
  const minutes = Math.floor(seconds / 60);
  if (minutes < 60) return `${minutes}:${s}`;
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, "0")}:${s}`;
}

const HOUR_MS = 3_600_000;

/** A length as long as somebody counts the minutes; "7 d 4 h" when it is days. */
export function formatWait(ms: number): string {
  const hours = Math.floor(ms / HOUR_MS);
  return hours < 48 ? formatLength(ms) : `${Math.floor(hours / 24)} d ${hours % 24} h`;
}

/** "19:04:07" on the wall clock of a zone. */
export function formatTimeOfDay(atMs: number, timeZone: string): string {
  const { hours, minutes, seconds } = timeOfDayAt(atMs, timeZone);
  return [hours, minutes, seconds].map((part) => String(part).padStart(2, "0")).join(":");
}

/** "19:04". */
export const formatMinute = (atMs: number, timeZone: string): string =>
  formatTimeOfDay(atMs, timeZone).slice(0, 5);

/** "Wed 25 Nov, 19:04". */
export function formatDay(atMs: number, timeZone: string): string {
  return new Date(atMs).toLocaleString("en-GB", {
    timeZone,
    weekday: "short",
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
  });
}
