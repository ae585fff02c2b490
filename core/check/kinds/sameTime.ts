import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { nameOfCue } from "../checkedCue.ts";

const same = defineFinding<{ readonly at: string; readonly other: string }>(
  "sameTime",
  "warning",
  ({ at, other }) => t`It starts by itself at ${at}, as “${other}” does: one takes the place of the other.`,
);

/** Two cues that start by themselves at one time, on one layer. */
export const sameTime: Check = {
  code: same.code,
  name: t`Cues that start at the same time`,
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
