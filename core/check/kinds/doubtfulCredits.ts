import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { creditsOf } from "../creditsOf.ts";

const doubtful = defineFinding<{ readonly what: string; readonly said: string }>(
  "doubtfulCredit",
  "note",
  ({ what, said }) => t`Its ${what} says “${said}”, which does not look like one.`,
);

/** A credit that is there and can hardly be right. */
export const doubtfulCredits: Check = {
  code: doubtful.code,
  name: t`Credits that look wrong`,
  cue: ({ cue: { cueId, doc }, evening }) => {
    if (doc.kind !== "song" || doc.isOff) return [];
    const { year, writers } = creditsOf(doc);
    const thisYear = Number(evening.today.slice(0, 4));
    const found = [];
    const years = [...year.matchAll(/\d+/g)].map(([digits]) => Number(digits));
    if (year !== "" && !years.some((each) => each >= 1000 && each <= thisYear + 1))
      found.push({ what: t`year`, said: year });
    if (/^(?:unknown|n\/?a|\?+|tbc|tbd|xxx+|todo)$/i.test(writers.trim()))
      found.push({ what: t`line of who wrote it`, said: writers });
    return found.map((figures) => ({ finding: doubtful(cueSubject(cueId), figures, figures.what), cueId }));
  },
};
