import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { fittingMends } from "../fittingMends.ts";
import { saidAs } from "../saidAs.ts";

const finding = defineFinding<{ readonly what: string }>(
  "overflow",
  "fault",
  ({ what }) =>
    t`“${what}” does not fit its box even at its smallest, and is cut. Shorten it, or give it more room.`,
);

/** Words that do not fit their box even at their smallest: they are cut. */
export const overflows: Check = {
  code: finding.code,
  name: t`Words are cut`,
  page: ({ page, evening }) =>
    page.words
      .filter(({ fits }) => !fits)
      .map((words) => ({
        finding: finding(
          cueSubject(page.cue.cueId),
          { what: saidAs(page, words, evening) },
          words.field ?? words.objectId,
        ),
        ...{ cueId: page.cue.cueId, step: page.anchor, outputId: page.output.id, rect: words.rect },
        mends: fittingMends(page, evening, words.objectId),
      })),
};
