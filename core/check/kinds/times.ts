import { cueSubject, defineFinding } from "../../findings/finding.ts";
import type { CueDoc } from "../../rundown/cueDoc.ts";
import type { Check } from "../check.ts";
import { nameOfCue } from "../checkedCue.ts";
import { minutesOf, timesOf, writeTime } from "../eveningTimes.ts";
import { changing } from "../mend.ts";

const clash = defineFinding<{ readonly at: string; readonly other: string; readonly until: string }>(
  "clashingTimes",
  "warning",
  ({ at, other, until }) => `It is planned for ${at}, and “${other}” before it lasts until ${until}.`,
);

/** A cue planned for a time at which the one before it is not through. */
export const clashingTimes: Check = {
  code: clash.code,
  name: "Planned times that clash",
  evening: ({ evening }) =>
    timesOf(evening).flatMap(({ cue, fixedMin, readyMin, before }) => {
      if (fixedMin === null || readyMin === null || !before || fixedMin >= readyMin) return [];
      const figures = { at: writeTime(fixedMin), other: nameOfCue(before), until: writeTime(readyMin) };
      return [
        {
          finding: clash(cueSubject(cue.cueId), figures, "plannedAt"),
          ...{ cueId: cue.cueId, amount: readyMin - fixedMin },
          mends: [
            changing(cue, `Plan it for ${figures.until}`, { plannedAt: figures.until } as Partial<CueDoc>),
          ],
        },
      ];
    }),
};

const same = defineFinding<{ readonly at: string; readonly other: string }>(
  "sameTime",
  "warning",
  ({ at, other }) => `It starts by itself at ${at}, as “${other}” does: one takes the place of the other.`,
);

/** Two cues that start by themselves at one time, on one layer. */
export const sameTime: Check = {
  code: same.code,
  name: "Cues that start at the same time",
  evening: ({ evening }) => {
    const known = new Map<string, (typeof evening.cues)[number]>();
    return evening.cues.flatMap((cue) => {
      const { start } = cue.doc;
      if (start.kind !== "at" || !cue.made) return [];
      const key = `${start.time}/${cue.made.content.layerId}`;
      const other = known.get(key);
      known.set(key, cue);
      if (!other) return [];
      const figures = { at: start.time, other: nameOfCue(other) };
      return [{ finding: same(cueSubject(cue.cueId), figures, "start"), cueId: cue.cueId }];
    });
  },
};

const over = defineFinding<{ readonly byMin: number; readonly until: string; readonly end: string }>(
  "runsOver",
  "warning",
  ({ byMin, until, end }) =>
    `As it is planned, the evening ends at ${until}, ${byMin} min after its end at ${end}.`,
);

/** An evening whose planned lengths are more than it has. */
export const runsOver: Check = {
  code: over.code,
  name: "The evening runs over",
  evening: ({ evening, limits: { overMinutes } }) => {
    const { startsAt, endsAt } = evening.evening;
    if (startsAt === "" || endsAt === "") return [];
    const untilMin = timesOf(evening).at(-1)?.endsMin ?? null;
    if (untilMin === null) return [];
    const [begin, end] = [minutesOf(startsAt), minutesOf(endsAt)];
    const endMin = end <= begin ? end + 24 * 60 : end;
    const byMin = Math.ceil(untilMin - endMin);
    if (byMin <= overMinutes) return [];
    const figures = { byMin, until: writeTime(untilMin), end: endsAt };
    return [{ finding: over({ kind: "evening", id: evening.evening.id }, figures), cueId: null }];
  },
};
