import { useMemo } from "react";
import { eveningTiming } from "../../core/rundown/eveningTiming.ts";
import type { EventTiming } from "../../core/rundown/timing.ts";
import type { DeskSnapshot } from "./deskSnapshot.ts";

/** The evening against its plan; undefined until the page is alive. */
export function useEventTiming(
  { cues, state, evening }: Pick<DeskSnapshot, "cues" | "state" | "evening">,
  nowMs: number | null,
): EventTiming | undefined {
  const { timeZone, cueTimes, line } = state;
  const presentId = line.at?.cueId ?? null;
  return useMemo(() => {
    if (nowMs === null) return undefined;
    const planned = cues.flatMap(({ view }) => ("silent" in view.compiled ? [] : [view]));
    return eveningTiming(planned, { timeZone, cueTimes, presentId }, evening, nowMs);
  }, [cues, cueTimes, presentId, timeZone, evening, nowMs]);
}
