import type { Range } from "../../core/report/report.ts";
import { formatMinute, formatTimeOfDay, type Locale } from "../ui/format.ts";

/** A stretch no longer than this has its times to the second. */
const TO_THE_SECOND_MS = 10 * 60_000;

/** How times stand on the axis of a chart of a stretch. */
export const timeOnAxis =
  ({ fromMs, untilMs }: Range, locale: Locale) =>
  (atMs: number): string =>
    (untilMs - fromMs < TO_THE_SECOND_MS ? formatTimeOfDay : formatMinute)(atMs, locale);
