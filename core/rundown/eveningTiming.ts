import { nextTimeOfDay, timeOfDayAt, timeOnDay } from "../figures/clockText.ts";
import type { CueDoc } from "./cueDoc.ts";
import type { EveningFields } from "./evening.ts";
import { type EventTiming, eventTiming } from "./timing.ts";

const HALF_DAY_MS = 43_200_000;

/** Where the evening stands. */
export interface EveningPlace {
  /** IANA zone of the evening's times of day. */
  readonly timeZone: string;
  /** Cue → when the line last came to it, server time. */
  readonly cueTimes: Readonly<Record<string, number>>;
  /** The cue that the line is at; null before the first. */
  readonly presentId: string | null;
}

/** The evening against its plan. @param cues those that are not silent, in the order of the rundown */
export function eveningTiming(
  cues: readonly { readonly cueId: string; readonly doc: Pick<CueDoc, "plannedMs" | "plannedAt"> }[],
  { timeZone, cueTimes, presentId }: EveningPlace,
  { day, startsAt, endsAt }: Pick<EveningFields, "day" | "startsAt" | "endsAt">,
  nowMs: number,
): EventTiming {
  const first = Math.min(nowMs, ...Object.values(cueTimes));
  const startsAtMs = startOf(day, startsAt, first, timeZone);
  // Other times of the evening are those nearest to its start, the end after it.
  const near = startsAtMs ?? first;
  const planned = cues.map(({ cueId, doc }) => ({
    cueId,
    plannedMs: doc.plannedMs,
    fixedAtMs: nearest(doc.plannedAt, near, timeZone),
  }));
  const endsAtMs = endsAt === "" ? null : nextTimeOfDay(near, partsOf(endsAt), timeZone);
  return eventTiming(planned, cueTimes, presentId, { startsAtMs, endsAtMs }, nowMs);
}

function partsOf(time: string) {
  const [hours = 0, minutes = 0] = time.split(":").map(Number);
  return { hours, minutes, seconds: 0 };
}

/** The start on the day that was said; once that is long past, or none was said, the one nearest to a time. */
function startOf(day: string, startsAt: string, nearMs: number, timeZone: string): number | null {
  if (startsAt === "") return null;
  const onDay = day === "" ? undefined : timeOnDay(day, partsOf(startsAt), timeZone);
  return onDay !== undefined && onDay > nearMs - HALF_DAY_MS ? onDay : nearest(startsAt, nearMs, timeZone);
}

/** A time of day nearest to an instant: an evening begun at five to seven was planned for seven. */
function nearest(time: string, nearMs: number, timeZone: string): number | null {
  if (time === "") return null;
  return nextTimeOfDay(
    nearMs - HALF_DAY_MS,
    { ...timeOfDayAt(nearMs, timeZone), ...partsOf(time) },
    timeZone,
  );
}
