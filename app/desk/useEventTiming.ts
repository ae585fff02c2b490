import { useMemo } from "react";
import { nextTimeOfDay, timeOfDayAt } from "../../core/figures/clockText.ts";
import { type EventTiming, eventTiming } from "../../core/rundown/timing.ts";
import type { DeskSnapshot } from "./deskStore.ts";

const HALF_DAY_MS = 43_200_000;

/** The evening against its plan; undefined until the page is alive. */
export function useEventTiming(
  { cues, state, evening: { startsAt } }: DeskSnapshot,
  nowMs: number | null,
): EventTiming | undefined {
  return useMemo(() => {
    if (nowMs === null) return undefined;
    const planned = cues.flatMap(({ view }) =>
      "silent" in view.compiled ? [] : [{ cueId: view.cueId, plannedMs: view.doc.plannedMs }],
    );
    const first = Math.min(nowMs, ...Object.values(state.cueTimes));
    const startsAtMs = startOf(startsAt, first, state.timeZone);
    return eventTiming(planned, state.cueTimes, state.position?.cueId ?? null, startsAtMs, nowMs);
  }, [cues, state.cueTimes, state.position, state.timeZone, startsAt, nowMs]);
}

/** The start that lies nearest to a time: an evening begun at five to seven was planned for seven. */
function startOf(startsAt: string, nearMs: number, timeZone: string): number | null {
  if (startsAt === "") return null;
  const [hours = 0, minutes = 0] = startsAt.split(":").map(Number);
  return nextTimeOfDay(
    nearMs - HALF_DAY_MS,
    { ...timeOfDayAt(nearMs, timeZone), hours, minutes, seconds: 0 },
    timeZone,
  );
}
