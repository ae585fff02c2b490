import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { inTexts } from "../inTexts.ts";
import { findStrayMarks } from "../slips.ts";

const stray = defineFinding<{ readonly mark: string; readonly near: string }>(
  "strayMark",
  "note",
  ({ mark, near }) => t`There is ${mark} at “${near}”.`,
);

/** Marks that a slip of the fingers left. */
export const strayMark: Check = {
  code: stray.code,
  name: t`Stray marks`,
  cue: ({ cue, evening }) =>
    inTexts(cue, evening.fieldSets, (text) =>
      findStrayMarks(text).map(({ mark, near, mended }) => ({
        finding: stray(cueSubject(cue.cueId), { mark, near }),
        ...(mended !== null && { find: near, by: mended }),
      })),
    ),
};
