import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { dayOf } from "../dayOf.ts";
import { findDates } from "../findDates.ts";
import { textsOf } from "../textsOf.ts";

const weekday = defineFinding<{ readonly said: string; readonly is: string }>(
  "wrongWeekday",
  "warning",
  ({ said, is }) => t`It says “${said}”; that day is a ${is}.`,
);

/** A date with a weekday that it does not have. */
export const wrongWeekday: Check = {
  code: weekday.code,
  name: t`Weekdays that do not match`,
  cue: ({ cue, evening }) => {
    if (cue.doc.kind === "song") return [];
    const own = Number(dayOf(evening).slice(0, 4));
    return textsOf(cue, evening.fieldSets).flatMap(({ text, where }) =>
      findDates(text).flatMap(({ said, weekday: day, weekdayWords, ...date }) => {
        if (day === null || date.month === null || date.day === null) return [];
        const true_ = new Date(Date.UTC(date.year ?? own, date.month - 1, date.day)).getUTCDay();
        if (true_ === day) return [];
        const is = weekdayWords[true_] as string;
        return [{ finding: weekday(cueSubject(cue.cueId), { said, is }, where), cueId: cue.cueId }];
      }),
    );
  },
};
