import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { movingInside } from "../fittingMends.ts";
import { saidAs } from "../saidAs.ts";

const finding = defineFinding<{ readonly what: string; readonly overPx: number }>(
  "offCanvas",
  "fault",
  ({ what, overPx }) => t`“${what}” stands ${overPx} px outside the picture, and is cut at its edge.`,
);
const TOLERANCE_PX = 3;

/** Words that reach over the edge of the picture. */
export const offCanvas: Check = {
  code: finding.code,
  name: t`Words outside the picture`,
  page: ({ page, evening }) => {
    const { widthPx, heightPx } = page.output;
    const whole = { x: 0, y: 0, width: widthPx, height: heightPx };
    return page.words.flatMap(({ objectId, field, rect }) => {
      const over = Math.max(-rect.x, -rect.y, rect.x + rect.width - widthPx, rect.y + rect.height - heightPx);
      if (over <= TOLERANCE_PX) return [];
      return [
        {
          finding: finding(
            cueSubject(page.cue.cueId),
            { what: saidAs(page, { objectId, field }, evening), overPx: Math.ceil(over) },
            field ?? objectId,
          ),
          ...{ cueId: page.cue.cueId, step: page.anchor, outputId: page.output.id, rect },
          ...{ mends: movingInside(page, objectId, rect, whole), amount: over },
        },
      ];
    });
  },
};
