import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { CueDoc } from "../../rundown/cueDoc.ts";
import type { Check } from "../check.ts";
import { nameOfCue } from "../checkedCue.ts";
import { timesOf, writeTime } from "../eveningTimes.ts";
import { changing } from "../mend.ts";

const clash = defineFinding<{ readonly at: string; readonly other: string; readonly until: string }>(
  "clashingTimes",
  "warning",
  ({ at, other, until }) => t`It is planned for ${at}, and “${other}” before it lasts until ${until}.`,
);

/** A cue planned for a time at which the one before it is not through. */
export const clashingTimes: Check = {
  code: clash.code,
  name: t`Planned times that clash`,
  evening: ({ evening }) =>
    timesOf(evening).flatMap(({ cue, fixedMin, readyMin, before }) => {
      if (fixedMin === null || readyMin === null || !before || fixedMin >= readyMin) return [];
      const figures = { at: writeTime(fixedMin), other: nameOfCue(before), until: writeTime(readyMin) };
      return [
        {
          finding: clash(cueSubject(cue.cueId), figures, "plannedAt"),
          ...{ cueId: cue.cueId, amount: readyMin - fixedMin },
          mends: [
            changing(cue, t`Plan it for ${figures.until}`, { plannedAt: figures.until } as Partial<CueDoc>),
          ],
        },
      ];
    }),
};
