import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { changing } from "../mend.ts";
import { readingMs } from "../readingTime.ts";

const finding = defineFinding<{ readonly stayS: number; readonly words: number; readonly neededS: number }>(
  "shortStay",
  "warning",
  ({ stayS, words, neededS }) => t`It leaves after ${stayS} s; its ${words} words take ${neededS} s to read.`,
);
/** A stay is lengthened to whole half seconds. */
const STEP_MS = 500;

/** A stay too short for its words. Source: BBC subtitle guidelines, 160 to 180 words a minute (from memory). */
export const shortStay: Check = {
  code: finding.code,
  name: t`Stays too short to read`,
  page: ({ page, limits: { wordsPerMinute } }) => {
    const { doc, cueId, revision, made } = page.cue;
    const stayMs = made?.content.stayMs ?? null;
    const neededMs = readingMs(page.wordCount, wordsPerMinute);
    if (stayMs === null || stayMs >= neededMs) return [];
    const longer = Math.ceil(neededMs / STEP_MS) * STEP_MS;
    const figures = { stayS: stayMs / 1_000, words: page.wordCount, neededS: Math.ceil(neededMs / 100) / 10 };
    return [
      {
        finding: finding(cueSubject(cueId), figures, "stay"),
        ...{ cueId, step: page.anchor, outputId: page.output.id, amount: neededMs - stayMs },
        mends:
          doc.kind === "page"
            ? [changing({ cueId, revision, doc }, t`Let it stay ${longer / 1_000} s`, { stayMs: longer })]
            : [],
      },
    ];
  },
};
