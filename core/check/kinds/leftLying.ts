import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check, Found } from "../check.ts";
import { comesByItself, coveredWords } from "../coveredWords.ts";
import { changing } from "../mend.ts";
import type { PageOnScreen } from "../pageFacts.ts";
import { readingMs } from "../readingTime.ts";
import { tooManyOf } from "./tooMany.ts";

const finding = defineFinding<{ readonly next: string; readonly how: string }>(
  "leftLying",
  "note",
  ({ next, how }) =>
    t`It is still there when “${next}” comes, and ${how}. Take it out before, or let it leave by itself.`,
);

const LEAST_STAY_MS = 8_000;
const STEP_MS = 500;

/** A page that a hand brought and that is still there when the next one wants its place. */
export const leftLying: Check = {
  code: finding.code,
  name: t`Pages that are still there`,
  stack: (look) => {
    const { pages, moment, limits } = look;
    if (comesByItself(moment.cue)) return [];
    const told = (page: PageOnScreen, how: string): Found => {
      const { cueId, revision, doc } = page.cue;
      const stayMs =
        Math.ceil(Math.max(LEAST_STAY_MS, 2 * readingMs(page.wordCount, limits.wordsPerMinute)) / STEP_MS) *
        STEP_MS;
      return {
        finding: finding(cueSubject(cueId), { next: moment.cue.title, how }),
        ...{
          cueId,
          step: page.anchor,
          outputId: page.output.id,
          ...(page.words[0] && { rect: page.words[0].rect }),
        },
        mends:
          doc.kind === "page" && doc.stayMs === null
            ? [changing({ cueId, revision, doc }, t`Let it leave after ${stayMs / 1_000} s`, { stayMs })]
            : [],
      };
    };
    const covered = (["shape", "window"] as const).flatMap((by) => coveredWords(pages, moment, by));
    const crowd = tooManyOf(look);
    const first = crowd?.find(({ cue }) => cue.cueId !== moment.cue.cueId);
    return [
      ...covered.flatMap(({ above, beneath }) => {
        const isAbove = above.cue.cueId !== moment.cue.cueId;
        const left = isAbove ? above : beneath;
        if (comesByItself(left.cue)) return [];
        return [told(left, isAbove ? t`lies over its words` : t`its words are under it`)];
      }),
      ...(crowd && first && !comesByItself(first.cue)
        ? [told(first, t`makes ${crowd.length} pages to read at once`)]
        : []),
    ];
  },
};
