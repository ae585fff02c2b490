import { cueSubject, defineFinding } from "../../findings/finding.ts";
import type { Check } from "../check.ts";
import { coveredWords, meetByThemselves } from "../coveredWords.ts";

const finding = defineFinding<{ readonly over: string; readonly percent: number }>(
  "underWindow",
  "warning",
  ({ over, percent }, _subject, place) =>
    `The window of “${over}” lies over ${percent} % of the words of “${place}”: nobody sees them.`,
);

/** Words that come by themselves under the window of a camera or a clip. */
export const underWindow: Check = {
  code: finding.code,
  name: "Words under a window",
  stack: ({ pages, moment }) =>
    coveredWords(pages, moment, "window")
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
