import { cueSubject, defineFinding } from "../../findings/finding.ts";
import type { Check } from "../check.ts";
import { coveredWords, meetByThemselves } from "../coveredWords.ts";

const finding = defineFinding<{ readonly over: string; readonly percent: number }>(
  "overlapping",
  "warning",
  ({ over, percent }, _subject, place) =>
    `“${over}” lies over ${percent} % of the words of “${place}”. Take the one out before, or show them in different places.`,
);

/** A page that comes by itself and lies over the words of another on the same screen, or under it. */
export const overlapping: Check = {
  code: finding.code,
  name: "Pages over one another",
  stack: ({ pages, moment }) =>
    coveredWords(pages, moment, "shape")
      .filter(meetByThemselves)
      .map(({ above, beneath, rect, share }) => ({
        finding: finding(
          cueSubject(moment.cue.cueId),
          { over: above.cue.title, percent: Math.round(share * 100) },
          beneath.cue.title,
        ),
        ...{
          cueId: moment.cue.cueId,
          step: moment.step.anchor,
          outputId: above.output.id,
          rect,
          amount: share,
        },
      })),
};
