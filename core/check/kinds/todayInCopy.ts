import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { textsOf } from "../textsOf.ts";

const today = defineFinding<{ readonly said: string }>(
  "todayInCopy",
  "note",
  ({ said }) => t`It says “${said}”, and has not been changed since this evening was copied from another.`,
);

const OF_THE_DAY =
  /(?<!\p{L})(?:today|tonight|tomorrow|this (?:morning|afternoon|evening|week)|yesterday|heute|morgen|hoy|mañana|aujourd’hui|ce soir|demain)(?!\p{L})/iu;

/** "Today" in what was copied from another evening. */
export const todayInCopy: Check = {
  code: today.code,
  name: t`“Today” in a copied evening`,
  cue: ({ cue, evening }) => {
    if (cue.doc.kind === "song" || cue.revision > evening.evening.copiedCues) return [];
    return textsOf(cue, evening.fieldSets).flatMap(({ text, where }) => {
      const said = OF_THE_DAY.exec(text)?.[0];
      return said ? [{ finding: today(cueSubject(cue.cueId), { said }, where), cueId: cue.cueId }] : [];
    });
  },
};
