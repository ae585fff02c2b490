import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { inTexts } from "../inTexts.ts";
import { findMixedQuotes } from "../slips.ts";

const mixed = defineFinding<{ readonly marks: string }>(
  "mixedQuotes",
  "note",
  ({ marks }) => t`It has straight and curled quotes together: ${marks}.`,
);

/** Straight quotes beside curled ones. */
export const mixedQuotes: Check = {
  code: mixed.code,
  name: t`Quotes of two kinds`,
  cue: ({ cue, evening }) =>
    inTexts(cue, evening.fieldSets, (text) => {
      const marks = findMixedQuotes(text);
      return marks ? [{ finding: mixed(cueSubject(cue.cueId), { marks }) }] : [];
    }),
};
