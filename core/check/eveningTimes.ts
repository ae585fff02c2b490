import type { CheckedCue } from "./checkedCue.ts";
import type { EveningToCheck } from "./evening.ts";

/** A cue in the plan of the evening; minutes since midnight of its day, null where nothing says. */
export interface PlannedCue {
  readonly cue: CheckedCue;
  /** When it is fixed to begin. */
  readonly fixedMin: number | null;
  /** When those before it are through. */
  readonly readyMin: number | null;
  /** The last before it that has a planned length. */
  readonly before: CheckedCue | undefined;
  readonly endsMin: number | null;
}

const DAY_MIN = 24 * 60;

export const minutesOf = (time: string): number => {
  const [hours = 0, minutes = 0] = time.split(":").map(Number);
  return hours * 60 + minutes;
};

/** "20:05"; over midnight it is the time of the next day. */
export function writeTime(minutes: number): string {
  const whole = Math.ceil(minutes) % DAY_MIN;
  return `${String(Math.floor(whole / 60)).padStart(2, "0")}:${String(whole % 60).padStart(2, "0")}`;
}

/** The planned times of an evening, one cue after another. */
export function timesOf({ cues, evening }: Pick<EveningToCheck, "cues" | "evening">): PlannedCue[] {
  let atMin = evening.startsAt === "" ? null : minutesOf(evening.startsAt);
  let before: CheckedCue | undefined;
  return cues
    .filter(({ doc }) => !doc.isOff)
    .map((cue) => {
      const { plannedAt, plannedMs } = cue.doc;
      const readyMin = atMin;
      let fixedMin = plannedAt === "" ? null : minutesOf(plannedAt);
      // Half a day earlier than what is before it: it is after midnight.
      if (fixedMin !== null && readyMin !== null && fixedMin < readyMin - DAY_MIN / 2) fixedMin += DAY_MIN;
      const beginsMin = fixedMin ?? readyMin;
      const endsMin = beginsMin === null ? null : beginsMin + (plannedMs ?? 0) / 60_000;
      const planned: PlannedCue = { cue, fixedMin, readyMin, before, endsMin };
      if (endsMin !== null) atMin = endsMin;
      if (plannedMs !== null) before = cue;
      return planned;
    });
}
