/** A cue as the plan of the evening knows it. */
export interface TimedCue {
  readonly cueId: string;
  /** How long it is planned to take; null: not planned. */
  readonly plannedMs: number | null;
  /** When it is to begin, if that is fixed; null: when those before it are through. */
  readonly fixedAtMs: number | null;
}

/** The frame of an evening; null where it is not said. */
export interface EveningFrame {
  readonly startsAtMs: number | null;
  readonly endsAtMs: number | null;
}

/** One cue against the plan. All times are server time, ms. */
export interface CueTiming {
  readonly cueId: string;
  /** When it was planned to begin; null when nothing fixes it. */
  readonly plannedAtMs: number | null;
  /** When it will begin if all goes on as planned; null for those that began, were jumped over, or have no plan. */
  readonly expectedAtMs: number | null;
  /** When it must begin for the evening to end in time: counted back from the end. */
  readonly beginByMs: number | null;
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
 * @param frame when the event is planned to begin and to end; without an end, the planned lengths make one
 */
export function eventTiming(
  cues: readonly TimedCue[],
  startedAt: Readonly<Record<string, number>>,
  presentId: string | null,
  frame: EveningFrame,
  nowMs: number,
): EventTiming {
  const presentIndex = cues.findIndex(({ cueId }) => cueId === presentId);
  const starts = [...new Set(Object.values(startedAt))].sort((a, b) => a - b);
  const endOf = new Map(starts.map((at, i) => [at, starts[i + 1]]));
  const isPlanned = cues.some(({ plannedMs }) => plannedMs !== null);
  const { planned, endMs } = planFrom(cues, frame.startsAtMs);
  const plannedEndMs = isPlanned ? (frame.endsAtMs ?? endMs) : null;
  const took = cues.map(({ cueId }) => {
    const startedAtMs = startedAt[cueId] ?? null;
    if (startedAtMs === null) return null;
    const endedAtMs = cueId === presentId ? nowMs : (endOf.get(startedAtMs) ?? nowMs);
    return Math.max(0, endedAtMs - startedAtMs);
  });
  const restOf = (index: number): number => {
    const plannedMs = cues[index]?.plannedMs ?? 0;
    return index === presentIndex ? Math.max(0, plannedMs - (took[index] ?? 0)) : plannedMs;
  };
  // What is to come, one after another from now: a cue that is fixed to a time waits for it.
  const { startsAtMs } = frame;
  let atMs = presentIndex < 0 && startsAtMs !== null ? Math.max(nowMs, startsAtMs) : nowMs;
  let leftMs = 0;
  const expected = cues.map(({ fixedAtMs }, index) => {
    if (index < presentIndex) return null;
    if (index > presentIndex && fixedAtMs !== null) atMs = Math.max(atMs, fixedAtMs);
    const beginsMs = atMs;
    atMs += restOf(index);
    leftMs += restOf(index);
    return index === presentIndex || !isPlanned ? null : beginsMs;
  });
  let byMs = plannedEndMs;
  const beginBy = new Array<number | null>(cues.length).fill(null);
  for (let index = cues.length - 1; index >= 0 && byMs !== null; index--) {
    byMs -= cues[index]?.plannedMs ?? 0;
    beginBy[index] = byMs;
  }
  const timed = cues.map(({ cueId, plannedMs }, index): CueTiming => {
    const tookMs = took[index] ?? null;
    return {
      cueId,
      plannedAtMs: planned[index] ?? null,
      expectedAtMs: expected[index] ?? null,
      beginByMs: beginBy[index] ?? null,
      startedAtMs: startedAt[cueId] ?? null,
      tookMs,
      overMs: plannedMs === null || tookMs === null ? null : tookMs - plannedMs,
    };
  });
  return {
    cues: timed,
    present: timed[presentIndex] ?? null,
    plannedEndMs,
    projectedEndMs: isPlanned ? atMs : null,
    leftMs,
  };
}

/** When each cue is planned to begin, and when the last of them is through. */
function planFrom(
  cues: readonly TimedCue[],
  startsAtMs: number | null,
): { readonly planned: readonly (number | null)[]; readonly endMs: number | null } {
  let atMs = startsAtMs;
  const planned = cues.map(({ plannedMs, fixedAtMs }) => {
    const beginsMs = fixedAtMs ?? atMs;
    atMs = beginsMs === null ? null : beginsMs + (plannedMs ?? 0);
    return beginsMs;
  });
  return { planned, endMs: atMs };
}
