/** A cue as the plan of the evening knows it. */
export interface TimedCue {
  readonly cueId: string;
  /** How long it is planned to take; null: not planned. */
  readonly plannedMs: number | null;
}

/** One cue against the plan. All times are server time, ms. */
export interface CueTiming {
  readonly cueId: string;
  /** When it was planned to begin; null when the event has no start. */
  readonly plannedAtMs: number | null;
  readonly startedAtMs: number | null;
  /** How long it took, or has taken so far; null before it begins. */
  readonly tookMs: number | null;
  /** Longer than planned by this, shorter where negative; null where there is no plan or it has not begun. */
  readonly overMs: number | null;
}

export interface EventTiming {
  readonly cues: readonly CueTiming[];
  /** The cue that runs now. */
  readonly present: CueTiming | null;
  readonly plannedEndMs: number | null;
  /** When it will end if all that is to come takes as long as planned; null with nothing planned. */
  readonly projectedEndMs: number | null;
  /** Planned time of what is still to come, the rest of the present cue included. */
  readonly leftMs: number;
}

/**
 * Planned against actual time. A cue lasts from its first take to the first take of a later cue; one that was never taken,
 * or was jumped over, has taken nothing.
 * @param cues in the order of the rundown
 * @param startedAt when each cue was first taken, server time ms
 * @param presentId the cue last taken; null before the first
 * @param startsAtMs when the event is planned to begin; null when not said
 */
export function eventTiming(
  cues: readonly TimedCue[],
  startedAt: Readonly<Record<string, number>>,
  presentId: string | null,
  startsAtMs: number | null,
  nowMs: number,
): EventTiming {
  const presentIndex = cues.findIndex(({ cueId }) => cueId === presentId);
  const starts = [...new Set(Object.values(startedAt))].sort((a, b) => a - b);
  const endOf = new Map(starts.map((at, i) => [at, starts[i + 1]]));
  let plannedAtMs = startsAtMs;
  const timed = cues.map(({ cueId, plannedMs }): CueTiming => {
    const startedAtMs = startedAt[cueId] ?? null;
    const isPresent = cueId === presentId;
    const endedAtMs = startedAtMs === null || isPresent ? nowMs : (endOf.get(startedAtMs) ?? nowMs);
    const tookMs = startedAtMs === null ? null : Math.max(0, endedAtMs - startedAtMs);
    const timing = {
      cueId,
      plannedAtMs,
      startedAtMs,
      tookMs,
      overMs: plannedMs === null || tookMs === null ? null : tookMs - plannedMs,
    };
    if (plannedAtMs !== null) plannedAtMs += plannedMs ?? 0;
    return timing;
  });
  const isPlanned = cues.some(({ plannedMs }) => plannedMs !== null);
  const leftMs = cues.reduce((sum, { plannedMs }, index) => {
    if (index < presentIndex || plannedMs === null) return sum;
    const took = index === presentIndex ? (timed[index]?.tookMs ?? 0) : 0;
    return sum + Math.max(0, plannedMs - took);
  }, 0);
  const beginsMs = presentIndex < 0 && startsAtMs !== null ? Math.max(nowMs, startsAtMs) : nowMs;
  return {
    cues: timed,
    present: timed[presentIndex] ?? null,
    plannedEndMs: isPlanned ? plannedAtMs : null,
    projectedEndMs: isPlanned ? beginsMs + leftMs : null,
    leftMs,
  };
}
