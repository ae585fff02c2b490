import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { inTexts } from "../inTexts.ts";
import { findDoubledWords } from "../slips.ts";

const doubled = defineFinding<{ readonly words: string }>(
  "doubledWord",
  "note",
  ({ words }) => t`It says “${words}”: a word stands there twice.`,
);

/** A word that stands twice in a row in what was typed for a page; songs repeat on purpose. */
export const doubledWord: Check = {
  code: doubled.code,
  name: t`Words that stand twice`,
  cue: ({ cue, evening }) =>
    cue.doc.kind === "song"
      ? []
      : inTexts(cue, evening.fieldSets, (text) =>
          findDoubledWords(text).map(({ said, once }) => ({
            finding: doubled(cueSubject(cue.cueId), { words: said }),
            find: said,
            by: once,
          })),
        ),
};
