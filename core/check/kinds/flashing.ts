import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { otherTemplates } from "../fittingMends.ts";
import { mostFlashes } from "../flashes.ts";

const finding = defineFinding<{ readonly flashes: number; readonly limit: number }>(
  "flashing",
  "fault",
  ({ flashes, limit }) =>
    t`It flashes ${flashes} times in one second over a large part of the picture; more than ${limit} can make people ill.`,
);

/** Light that comes and goes too often. Source: WCAG 2.2, 2.3.1; ITU-R BT.1702 (from memory). */
export const flashing: Check = {
  code: finding.code,
  name: t`Flashing`,
  page: ({ page, evening, limits: { flashesPerSecond } }) => {
    if (!page.mayFlash) return [];
    const told = evening.measures.brightness(page, page.output);
    if (told === null || told === "waits") return [];
    const flashes = mostFlashes(told);
    if (flashes <= flashesPerSecond) return [];
    return [
      {
        finding: finding(cueSubject(page.cue.cueId), { flashes, limit: flashesPerSecond }),
        ...{ cueId: page.cue.cueId, step: page.anchor, outputId: page.output.id, amount: flashes },
        mends: otherTemplates(page, evening),
      },
    ];
  },
};
