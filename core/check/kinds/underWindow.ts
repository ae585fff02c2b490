import { defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { type CoveredFigures, foundCovered } from "../coveredWords.ts";

const finding = defineFinding<CoveredFigures>(
  "underWindow",
  "warning",
  ({ over, percent }, _subject, place) =>
    t`The window of “${over}” lies over ${percent} % of the words of “${place}”: nobody sees them.`,
);

/** Words that come by themselves under the window of a camera or a clip. */
export const underWindow: Check = {
  code: finding.code,
  name: t`Words under a window`,
  stack: (look) => foundCovered(look, "window", finding),
};
