import { blockHeightPx, type Fit, type FitRequest, fitText, SIZE_STEP_PX } from "./fit.ts";
import { prepareText } from "./prepare.ts";
import { type SetLine, setLines } from "./setLines.ts";
import type { Shaper } from "./shaper.ts";

export interface TextBlockRequest extends Omit<FitRequest, "lineBoxEm"> {
  /** Fonts to try for each character, best first. */
  readonly fontStack: readonly string[];
}

/** Words set in their box: what a text object paints. */
export interface TextBlock {
  readonly sizePx: number;
  readonly lines: readonly SetLine[];
  /** Whether the base direction of each line is right to left (for "start" alignment). */
  readonly rightToLeft: readonly boolean[];
  readonly ascentPx: number;
  readonly heightPx: number;
  readonly leadingPx: number;
  readonly fits: boolean;
}

/**
 * Fits words into a box and sets them.
 * Scaling is exact except where a font kerns into the space at a break, so the set lines are measured again
 * and the size goes down a step where one of them is too wide.
 */
export function layOutText(text: string, request: TextBlockRequest, shaper: Shaper): TextBlock {
  const paragraphs = prepareText(text, request.fontStack, shaper);
  const { ascentEm, descentEm } = shaper.metrics(request.fontStack[0] as string);
  const lineBoxEm = ascentEm + descentEm;
  let maxSizePx = request.maxSizePx;
  for (;;) {
    const fit: Fit = fitText(paragraphs, { ...request, maxSizePx, lineBoxEm });
    const lines = setLines(paragraphs, fit.lines, fit.sizePx, shaper);
    const tooWide = lines.some((line) => line.widthPx > request.widthPx + 0.01);
    const smaller = fit.sizePx - SIZE_STEP_PX;
    if (fit.fits && tooWide && smaller >= request.minSizePx) {
      maxSizePx = smaller;
      continue;
    }
    return {
      sizePx: fit.sizePx,
      lines,
      rightToLeft: fit.lines.map((line) => (paragraphs[line.paragraph]?.baseLevel ?? 0) % 2 === 1),
      ascentPx: ascentEm * fit.sizePx,
      heightPx: blockHeightPx(fit.lines.length, fit.sizePx, request.leading, lineBoxEm),
      leadingPx: request.leading * fit.sizePx,
      fits: fit.fits && !tooWide,
    };
  }
}
