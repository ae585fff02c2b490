import { cueSubject, defineFinding } from "../../findings/finding.ts";
import type { Check } from "../check.ts";
import { findDates } from "../findDates.ts";
import { textsOf } from "../textsOf.ts";

const year = defineFinding<{ readonly said: string; readonly year: number }>(
  "otherYear",
  "warning",
  ({ said, year: own }) => `It says “${said}”, and the evening is in ${own}.`,
);
const weekday = defineFinding<{ readonly said: string; readonly is: string }>(
  "wrongWeekday",
  "warning",
  ({ said, is }) => `It says “${said}”; that day is a ${is}.`,
);

const dayOf = ({ evening, today }: { evening: { day: string }; today: string }) => evening.day || today;

/** A date of another year than the evening's. */
export const otherYear: Check = {
  code: year.code,
  name: "Dates of another year",
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

/** A date with a weekday that it does not have. */
export const wrongWeekday: Check = {
  code: weekday.code,
  name: "Weekdays that do not match",
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

const today = defineFinding<{ readonly said: string }>(
  "todayInCopy",
  "note",
  ({ said }) => `It says “${said}”, and has not been changed since this evening was copied from another.`,
);
const OF_THE_DAY =
  /(?<!\p{L})(?:today|tonight|tomorrow|this (?:morning|afternoon|evening|week)|yesterday|heute|morgen|hoy|mañana|aujourd’hui|ce soir|demain)(?!\p{L})/iu;

/** "Today" in what was copied from another evening. */
export const todayInCopy: Check = {
  code: today.code,
  name: "“Today” in a copied evening",
  cue: ({ cue, evening }) => {
    if (cue.doc.kind === "song" || cue.revision > evening.evening.copiedCues) return [];
    return textsOf(cue, evening.fieldSets).flatMap(({ text, where }) => {
      const said = OF_THE_DAY.exec(text)?.[0];
      return said ? [{ finding: today(cueSubject(cue.cueId), { said }, where), cueId: cue.cueId }] : [];
    });
  },
};
