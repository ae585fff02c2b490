import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { dayOf } from "../dayOf.ts";
import { findDates } from "../findDates.ts";
import { textsOf } from "../textsOf.ts";

const year = defineFinding<{ readonly said: string; readonly year: number }>(
  "otherYear",
  "warning",
  ({ said, year: own }) => t`It says “${said}”, and the evening is in ${own}.`,
);

/** A date of another year than the evening's. */
export const otherYear: Check = {
  code: year.code,
  name: t`Dates of another year`,
  cue: ({ cue, evening }) => {
    if (cue.doc.kind === "song") return [];
    const own = Number(dayOf(evening).slice(0, 4));
    return textsOf(cue, evening.fieldSets).flatMap(({ text, where }) =>
      findDates(text).flatMap((date) =>
        date.year === null || date.year === own
          ? []
          : [
              {
                finding: year(cueSubject(cue.cueId), { said: date.said, year: own }, where),
                cueId: cue.cueId,
              },
            ],
      ),
    );
  },
};
