import { formatTimeOfDay, type Locale } from "../ui/format.ts";

const days = (atMs: number, timeZone: string): string =>
  new Intl.DateTimeFormat("sv-SE", { timeZone, dateStyle: "short" }).format(atMs);

/** Instants as files tell them: "2026-12-04 19:04:07" in the show's zone. */
export const dayAndTime =
  ({ timeZone }: Locale) =>
  (atMs: number): string =>
    `${days(atMs, timeZone)} ${formatTimeOfDay(atMs, { timeZone, language: "en-GB" })}`;

/** The day of an instant, for the name of a file. */
export const fileDay = (atMs: number, { timeZone }: Locale): string => days(atMs, timeZone);
