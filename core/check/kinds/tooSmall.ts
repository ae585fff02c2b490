import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import { smallestReadable } from "../../venue/seat.ts";
import type { Check } from "../check.ts";
import { fittingMends } from "../fittingMends.ts";
import { saidAs } from "../saidAs.ts";

const finding = defineFinding<{
  readonly what: string;
  readonly sizePx: number;
  readonly neededPx: number;
  readonly farthestM: number;
}>(
  "tooSmall",
  "warning",
  ({ what, sizePx, neededPx, farthestM }) =>
    t`“${what}” is ${sizePx} px; from the farthest seat, ${farthestM} m away, words are read from ${neededPx} px. Fewer words come out larger.`,
);

/** Words this much smaller than the largest of their page stand beside what it is for: credits, labels, what comes next. */
const ASIDE = 0.75;

/**
 * Words smaller than the farthest seat can read.
 * Source: ANSI/AVIXA V202.01 (from memory): the height of a letter is at least the distance of the farthest viewer ÷ 200.
 */
export const tooSmall: Check = {
  code: finding.code,
  name: t`Words too small for the farthest seat`,
  page: ({ page, evening, limits: { readableFactor, asidePercent } }) => {
    const { farthestM, pictureHeightM, heightPx, part } = page.output;
    if (farthestM === null || pictureHeightM === null) return [];
    const largestPx = Math.max(0, ...page.words.map(({ sizePx }) => sizePx));
    const mainPx = Math.ceil(
      smallestReadable(farthestM, pictureHeightM, part?.height ?? heightPx, readableFactor).sizePx,
    );
    return page.words.flatMap(({ objectId, field, rect, sizePx }) => {
      const isAside = sizePx < largestPx * ASIDE;
      const neededPx = isAside ? Math.ceil((mainPx * asidePercent) / 100) : mainPx;
      const whole = Math.round(sizePx);
      if (whole >= neededPx) return [];
      return [
        {
          finding: finding(
            cueSubject(page.cue.cueId),
            { what: saidAs(page, { objectId, field }, evening), sizePx: whole, neededPx, farthestM },
            field ?? objectId,
          ),
          ...{ cueId: page.cue.cueId, step: page.anchor, outputId: page.output.id, rect },
          ...{ mends: fittingMends(page, evening, objectId), amount: neededPx - whole },
        },
      ];
    });
  },
};
