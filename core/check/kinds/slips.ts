import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { replaceInCue } from "../../rundown/replaceWords.ts";
import type { FieldSets } from "../../scene/fieldSet.ts";
import type { Check, Found } from "../check.ts";
import type { CheckedCue } from "../checkedCue.ts";
import { changing } from "../mend.ts";
import { findDoubledWords, findMixedQuotes, findStrayMarks } from "../slips.ts";
import { textsOf } from "../textsOf.ts";

const doubled = defineFinding<{ readonly words: string }>(
  "doubledWord",
  "note",
  ({ words }) => `It says “${words}”: a word stands there twice.`,
);
const stray = defineFinding<{ readonly mark: string; readonly near: string }>(
  "strayMark",
  "note",
  ({ mark, near }) => `There is ${mark} at “${near}”.`,
);
const mixed = defineFinding<{ readonly marks: string }>(
  "mixedQuotes",
  "note",
  ({ marks }) => `It has straight and curled quotes together: ${marks}.`,
);

/** What a text of a cue has, with its mend where there is one. */
function inTexts(
  cue: CheckedCue,
  fieldSets: FieldSets,
  look: (text: string) => readonly { finding: Found["finding"]; find?: string; by?: string }[],
): Found[] {
  return textsOf(cue, fieldSets).flatMap(({ text, where }) =>
    look(text).map(({ finding, find, by }): Found => {
      const query = { find: find ?? "", matchCase: true, wholeWords: false };
      const mended =
        find !== undefined && by !== undefined ? replaceInCue(cue.doc, query, by, fieldSets) : undefined;
      return {
        finding: { ...finding, place: where },
        cueId: cue.cueId,
        mends: mended && mended.count > 0 ? [changing(cue, `Write “${by}”`, mended.doc)] : [],
      };
    }),
  );
}

/** A word that stands twice in a row in what was typed for a page; songs repeat on purpose. */
export const doubledWord: Check = {
  code: doubled.code,
  name: "Words that stand twice",
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

/** Marks that a slip of the fingers left. */
export const strayMark: Check = {
  code: stray.code,
  name: "Stray marks",
  cue: ({ cue, evening }) =>
    inTexts(cue, evening.fieldSets, (text) =>
      findStrayMarks(text).map(({ mark, near, mended }) => ({
        finding: stray(cueSubject(cue.cueId), { mark, near }),
        ...(mended !== null && { find: near, by: mended }),
      })),
    ),
};

/** Straight quotes beside curled ones. */
export const mixedQuotes: Check = {
  code: mixed.code,
  name: "Quotes of two kinds",
  cue: ({ cue, evening }) =>
    inTexts(cue, evening.fieldSets, (text) => {
      const marks = findMixedQuotes(text);
      return marks ? [{ finding: mixed(cueSubject(cue.cueId), { marks }) }] : [];
    }),
};
