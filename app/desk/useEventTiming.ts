import { useMemo } from "react";
import { nextTimeOfDay, timeOfDayAt, timeOnDay } from "../../core/figures/clockText.ts";
import { type EventTiming, eventTiming } from "../../core/rundown/timing.ts";
import type { DeskSnapshot } from "./deskSnapshot.ts";

const HALF_DAY_MS = 43_200_000;

/** The evening against its plan; undefined until the page is alive. */
export function useEventTiming(
  { cues, state, evening }: Pick<DeskSnapshot, "cues" | "state" | "evening">,
  nowMs: number | null,
): EventTiming | undefined {
  const { day, startsAt, endsAt } = evening;
  const { timeZone, cueTimes, line } = state;
  return useMemo(() => {
    if (nowMs === null) return undefined;
    const first = Math.min(nowMs, ...Object.values(cueTimes));
    const startsAtMs = startOf(day, startsAt, first, timeZone);
    // Other times of the evening are those nearest to its start, the end after it.
    const near = startsAtMs ?? first;
    const planned = cues.flatMap(({ view: { cueId, compiled, doc } }) =>
      "silent" in compiled
        ? []
        : [{ cueId, plannedMs: doc.plannedMs, fixedAtMs: nearest(doc.plannedAt, near, timeZone) }],
    );
    const endsAtMs = endsAt === "" ? null : nextTimeOfDay(near, partsOf(endsAt), timeZone);
    const presentId = line.at?.cueId ?? null;
    return eventTiming(planned, cueTimes, presentId, { startsAtMs, endsAtMs }, nowMs);
  }, [cues, cueTimes, line, timeZone, day, startsAt, endsAt, nowMs]);
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
