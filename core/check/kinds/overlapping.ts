import { defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { type CoveredFigures, foundCovered } from "../coveredWords.ts";

const finding = defineFinding<CoveredFigures>(
  "overlapping",
  "warning",
  ({ over, percent }, _subject, place) =>
    t`“${over}” lies over ${percent} % of the words of “${place}”. Take the one out before, or show them in different places.`,
);

/** A page that comes by itself and lies over the words of another on the same screen, or under it. */
export const overlapping: Check = {
  code: finding.code,
  name: t`Pages over one another`,
  stack: (look) => foundCovered(look, "shape", finding),
};
