import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { fittingMends } from "../fittingMends.ts";
import { saidAs } from "../saidAs.ts";

const finding = defineFinding<{ readonly what: string; readonly percent: number; readonly limit: number }>(
  "narrowed",
  "warning",
  ({ what, percent, limit }) =>
    t`The letters of “${what}” are narrowed to ${percent} % of their width; ${limit} % is the limit. Shorten it, or give it more room.`,
);

/** Letters narrowed further than the venue lets them be. */
export const narrowed: Check = {
  code: finding.code,
  name: t`Letters narrowed too far`,
  page: ({ page, evening, limits: { narrowest } }) =>
    page.words.flatMap(({ objectId, field, rect, condensed, fits }) => {
      const percent = Math.round(condensed * 100);
      if (!fits || percent >= narrowest) return [];
      return [
        {
          finding: finding(
            cueSubject(page.cue.cueId),
            { what: saidAs(page, { objectId, field }, evening), percent, limit: narrowest },
            field ?? objectId,
          ),
          ...{ cueId: page.cue.cueId, step: page.anchor, outputId: page.output.id, rect },
          ...{ mends: fittingMends(page, evening, objectId), amount: narrowest - percent },
        },
      ];
    }),
};
