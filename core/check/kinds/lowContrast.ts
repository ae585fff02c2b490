import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { comesByItself } from "../coveredWords.ts";
import { otherTemplates, shading } from "../fittingMends.ts";
import { common, type PageOnScreen } from "../pageFacts.ts";
import { saidAs } from "../saidAs.ts";

const finding = defineFinding<{ readonly what: string; readonly ratio: number; readonly limit: number }>(
  "lowContrast",
  "warning",
  ({ what, ratio, limit }) =>
    t`“${what}” has a contrast of ${ratio} to 1 with what lies behind it; ${limit} to 1 is the limit. A bed or a shadow behind the words, or another picture, makes them read.`,
);

/** Lines of the picture on which sizes are counted. */
const LINES = 1_080;

/** Whether letters are rather light than dark. */
const isLight = (color: string | null): boolean => {
  const [r = 255, g = 255, b = 255] = (color?.slice(1, 7).match(/../g) ?? []).map((hex) =>
    Number.parseInt(hex, 16),
  );
  return 0.2126 * r + 0.7152 * g + 0.0722 * b > 127;
};

const hasWordsUnder = (below: PageOnScreen, page: PageOnScreen): boolean =>
  below.words.some(({ rect }) => page.words.some((own) => common(own.rect, rect) !== undefined));

/** Words that are hard to tell from what truly lies behind them, moving pictures over their length. Source: WCAG 2.2, 1.4.3. */
export const lowContrast: Check = {
  code: finding.code,
  name: t`Too little contrast`,
  stack: ({ pages, moment, evening, limits }) =>
    pages.flatMap((page, at) => {
      // What lay there before was looked at when it came.
      if (page.cue.cueId !== moment.cue.cueId) return [];
      // Words over words are another finding, and what a hand has left lying another still.
      const lasting = new Set(evening.layers.filter(({ persistent }) => persistent).map(({ id }) => id));
      const behind = pages
        .slice(0, at)
        .filter(
          (below) =>
            !hasWordsUnder(below, page) &&
            (lasting.has(below.layerId) || below.words.length === 0 || comesByItself(below.cue)),
        );
      return page.words.flatMap((words) => {
        const { objectId, field, rect, sizePx, color } = words;
        const told = evening.measures.contrast([...behind, page], behind.length, words);
        if (told === null || told === "waits") return [];
        const isLarge = (sizePx / page.output.heightPx) * LINES >= limits.largeFromPx;
        const limit = isLarge ? limits.contrastOfLarge : limits.contrast;
        const ratio = Math.floor(told * 10) / 10;
        if (ratio >= limit) return [];
        return [
          {
            finding: finding(
              cueSubject(page.cue.cueId),
              { what: saidAs(page, { objectId, field }, evening), ratio, limit },
              field ?? objectId,
            ),
            ...{ cueId: page.cue.cueId, step: page.anchor, outputId: page.output.id, rect },
            mends: [...shading(page, objectId, isLight(color)), ...otherTemplates(page, evening)],
            amount: limit - ratio,
          },
        ];
      });
    }),
};
