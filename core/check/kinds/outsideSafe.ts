import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import { SAFE_AREAS, safeRect } from "../../venue/testPicture.ts";
import type { Check } from "../check.ts";
import { movingInside } from "../fittingMends.ts";
import { saidAs } from "../saidAs.ts";

const finding = defineFinding<{ readonly what: string; readonly overPx: number; readonly area: string }>(
  "outsideSafe",
  "warning",
  ({ what, overPx, area }) =>
    t`“${what}” reaches ${overPx} px outside the title-safe area of ${area}. Where it is received, its edge may be cut.`,
);
const NAMES = { smpte: t`SMPTE ST 2046-1`, ebu: t`EBU R 95` } as const;
/** Letters are measured to this. */
const TOLERANCE_PX = 2;

/**
 * Words outside the title-safe area of a screen that is laid over a picture and sent on; what is projected in a room has no edge
 * that is cut. What crawls goes through it by its nature. Source: SMPTE ST 2046-1, EBU R 95.
 */
export const outsideSafe: Check = {
  code: finding.code,
  name: t`Words outside the safe area`,
  page: ({ page, evening }) => {
    const { backdrop, safeArea, widthPx, heightPx } = page.output;
    if (backdrop !== "transparent") return [];
    const safe = safeRect(widthPx, heightPx, SAFE_AREAS[safeArea].title);
    return page.words.flatMap(({ objectId, field, rect }) => {
      const over = Math.max(
        safe.x - rect.x,
        safe.y - rect.y,
        rect.x + rect.width - (safe.x + safe.width),
        rect.y + rect.height - (safe.y + safe.height),
      );
      if (over <= TOLERANCE_PX) return [];
      return [
        {
          finding: finding(
            cueSubject(page.cue.cueId),
            {
              what: saidAs(page, { objectId, field }, evening),
              overPx: Math.ceil(over),
              area: NAMES[safeArea],
            },
            field ?? objectId,
          ),
          ...{ cueId: page.cue.cueId, step: page.anchor, outputId: page.output.id, rect },
          ...{ mends: movingInside(page, objectId, rect, safe), amount: over },
        },
      ];
    });
  },
};
