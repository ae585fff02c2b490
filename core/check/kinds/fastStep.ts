import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { changing } from "../mend.ts";
import { readingMs } from "../readingTime.ts";

const finding = defineFinding<{ readonly afterS: number; readonly words: number; readonly neededS: number }>(
  "fastStep",
  "warning",
  ({ afterS, words, neededS }, _subject, place) =>
    t`It comes ${afterS} s after “${place}”, whose ${words} words take ${neededS} s to read.`,
);

/** A cue that follows by itself, and takes the place of what nobody has read yet. */
export const fastStep: Check = {
  code: finding.code,
  name: t`Follows that come too soon`,
  stack: ({ pages, moment, limits: { wordsPerMinute } }) => {
    const page = pages.find(({ cue }) => cue.cueId === moment.cue.cueId);
    const { staysMs, follower } = moment;
    if (!page || staysMs === null) return [];
    const neededMs = readingMs(page.wordCount, wordsPerMinute);
    // What comes onto another layer lets the words be read on.
    if (!follower?.made || follower.made.content.layerId !== page.layerId || staysMs >= neededMs) return [];
    const { cueId, revision, doc } = follower;
    const figures = {
      afterS: staysMs / 1_000,
      words: page.wordCount,
      neededS: Math.ceil(neededMs / 100) / 10,
    };
    const longer = Math.ceil(neededMs / 500) * 500;
    return [
      {
        finding: finding(cueSubject(cueId), figures, moment.cue.title),
        ...{ cueId, outputId: page.output.id, amount: neededMs - staysMs },
        mends: [
          changing({ cueId, revision, doc }, t`Let it follow after ${longer / 1_000} s`, {
            start: { kind: "after", ms: longer },
          }),
        ],
      },
    ];
  },
};
