import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";

const endless = defineFinding<{ readonly everyS: number }>(
  "endlessRepeat",
  "note",
  ({ everyS }) =>
    t`It comes again every ${everyS} s until somebody takes it out: nothing of the script does.`,
);

/** A cue that comes again and again, on a layer that nothing later in the script takes or clears. */
export const endlessRepeat: Check = {
  code: endless.code,
  name: t`Repeats without an end`,
  evening: ({ evening }) =>
    evening.cues.flatMap((cue, at) => {
      const { repeatMs } = cue.doc;
      const layerId = cue.made?.content.layerId;
      if (repeatMs === null || layerId === undefined) return [];
      const ends = evening.cues.slice(at + 1).some(({ made }) => {
        if (!made) return false;
        return made.content.layerId === layerId || made.content.action?.clear.includes(layerId);
      });
      if (ends) return [];
      return [
        { finding: endless(cueSubject(cue.cueId), { everyS: repeatMs / 1_000 }, "repeat"), cueId: cue.cueId },
      ];
    }),
};
