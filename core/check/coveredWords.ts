import { cueSubject, type FindingKind } from "../findings/finding.ts";
import type { Rect } from "../picture/picture.ts";
import type { Found, StackLook } from "./check.ts";
import type { CheckedCue } from "./checkedCue.ts";
import { type BoxOnPage, common, type PageOnScreen } from "./pageFacts.ts";
import type { StageMoment } from "./walk.ts";

export interface Covered {
  readonly above: PageOnScreen;
  readonly beneath: PageOnScreen;
  /** What is covered of the words, px of the canvas. */
  readonly rect: Rect;
  /** Of the words, 0 to 1. */
  readonly share: number;
}

/** Less than this of a text is a touch, as of a shadow or an ornament. */
const LEAST_SHARE = 0.04;
const LEAST_PX = 4;
/** What covers nearly the whole screen hides what is beneath on purpose. */
const WHOLE = 0.95;

/**
 * Where one page lies over the words of another, as the step of a moment brings it.
 * @param by "shape": by its words, beds and pictures; "window": by the window of a camera or a clip
 */
export function coveredWords(
  pages: readonly PageOnScreen[],
  { cue }: Pick<StageMoment, "cue">,
  by: "shape" | "window",
): Covered[] {
  return pages.flatMap((above, at) =>
    pages.slice(0, at).flatMap((beneath): Covered[] => {
      // What lay so before was found when it came.
      if (above.cue.cueId !== cue.cueId && beneath.cue.cueId !== cue.cueId) return [];
      const { widthPx, heightPx } = above.output;
      const isWhole = (rect: Rect) => rect.width >= widthPx * WHOLE && rect.height >= heightPx * WHOLE;
      if (above.boxes.some(({ rect }) => isWhole(rect))) return [];
      const isWindow = ({ kind }: BoxOnPage) => kind !== "shape";
      const covers: readonly Rect[] =
        by === "window"
          ? above.boxes.filter(isWindow).map(({ rect }) => rect)
          : [
              ...above.boxes.filter((box) => !isWindow(box)).map(({ rect }) => rect),
              ...above.words.map(({ rect }) => rect),
              ...above.crawls.map(({ box }) => box),
            ];
      let worst: Covered | undefined;
      for (const cover of covers)
        for (const { rect: words } of beneath.words) {
          const rect = common(cover, words);
          if (!rect || rect.width < LEAST_PX || rect.height < LEAST_PX) continue;
          const share = (rect.width * rect.height) / (words.width * words.height);
          if (share >= LEAST_SHARE && share > (worst?.share ?? 0)) worst = { above, beneath, rect, share };
        }
      return worst ? [worst] : [];
    }),
  );
}

/** Whether no hand brings it: what lies there then was not looked at by anybody. */
export const comesByItself = ({ doc }: CheckedCue): boolean => doc.start.kind !== "hand";

export type CoveredFigures = { readonly over: string; readonly percent: number };

/** What is found where a page and another came together by themselves: no hand was there to take one out. */
export const foundCovered = (
  { pages, moment }: StackLook,
  by: "shape" | "window",
  finding: FindingKind<CoveredFigures>,
): Found[] =>
  coveredWords(pages, moment, by)
    .filter(({ above, beneath }) => comesByItself(above.cue) || comesByItself(beneath.cue))
    .map(({ above, beneath, rect, share }) => ({
      finding: finding(
        cueSubject(moment.cue.cueId),
        { over: above.cue.title, percent: Math.round(share * 100) },
        beneath.cue.title,
      ),
      ...{
        cueId: moment.cue.cueId,
        step: moment.step.anchor,
        outputId: above.output.id,
        rect,
        amount: share,
      },
    }));
