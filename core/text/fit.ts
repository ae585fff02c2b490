import type { PreparedParagraph } from "./prepare.ts";
import { type LineRange, widestEm, wrapBalanced, wrapLines } from "./wrap.ts";

/** Sizes move in quarters of a pixel: other fractions drift against the browser's own measure. */
export const SIZE_STEP_PX = 0.25;

export interface FitRequest {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly minSizePx: number;
  readonly maxSizePx: number;
  /** Distance from baseline to baseline, as a multiple of the size. */
  readonly leading: number;
  /** Ascent plus descent of the font in em: what the first and last line need beyond their baselines. */
  readonly lineBoxEm: number;
  /** Hard lines are kept whole as long as the size stays at or above this; below it they may wrap. */
  readonly keepLinesAbovePx: number | null;
  readonly balance: boolean;
  /** Extra room between paragraphs, in sizes of the letters. */
  readonly paragraphGap: number;
}

export interface Fit {
  readonly sizePx: number;
  readonly lines: readonly LineRange[];
  /** False when the words spill even at the smallest size. */
  readonly fits: boolean;
}

/** Height of n lines in px: from the top of the first line's box to the bottom of the last one's. */
export function blockHeightPx(lineCount: number, sizePx: number, leading: number, lineBoxEm: number): number {
  return lineCount === 0 ? 0 : ((lineCount - 1) * leading + lineBoxEm) * sizePx;
}

/**
 * The largest size, in steps of 0.25 px, at which the words stay inside the box.
 * Wrapping and shrinking work together: each size tried is wrapped for itself.
 */
export function fitText(paragraphs: readonly PreparedParagraph[], request: FitRequest): Fit {
  const { keepLinesAbovePx } = request;
  if (keepLinesAbovePx !== null) {
    const whole = largestSize(request, (sizePx) => wholeLines(paragraphs, request, sizePx));
    if (whole && whole.sizePx >= Math.min(keepLinesAbovePx, request.maxSizePx)) return whole;
  }
  const found = largestSize(request, (sizePx) => wrapped(paragraphs, request, sizePx));
  if (found) return balanced(paragraphs, request, found);
  const lines = wrapLines(paragraphs, request.widthPx / request.minSizePx);
  return { sizePx: request.minSizePx, lines, fits: false };
}

type Attempt = LineRange[] | undefined;

function largestSize(request: FitRequest, attempt: (sizePx: number) => Attempt): Fit | undefined {
  let low = Math.ceil(request.minSizePx / SIZE_STEP_PX);
  let high = Math.floor(request.maxSizePx / SIZE_STEP_PX);
  let best: Fit | undefined;
  while (low <= high) {
    const middle = (low + high) >> 1;
    const sizePx = middle * SIZE_STEP_PX;
    const lines = attempt(sizePx);
    if (lines) {
      best = { sizePx, lines, fits: true };
      low = middle + 1;
    } else high = middle - 1;
  }
  return best;
}

function wrapped(paragraphs: readonly PreparedParagraph[], request: FitRequest, sizePx: number): Attempt {
  const lines = wrapLines(paragraphs, request.widthPx / sizePx);
  return inside(lines, request, sizePx) ? lines : undefined;
}

function wholeLines(paragraphs: readonly PreparedParagraph[], request: FitRequest, sizePx: number): Attempt {
  const lines = wrapLines(paragraphs, Number.POSITIVE_INFINITY);
  return inside(lines, request, sizePx) ? lines : undefined;
}

function inside(lines: readonly LineRange[], request: FitRequest, sizePx: number): boolean {
  return (
    widestEm(lines) * sizePx <= request.widthPx &&
    blockHeightPx(lines.length, sizePx, request.leading, request.lineBoxEm) +
      gapsPx(lines, request.paragraphGap, sizePx) <=
      request.heightPx
  );
}

/** All the extra room between paragraphs, px. */
export const gapsPx = (lines: readonly LineRange[], paragraphGap: number, sizePx: number): number =>
  paragraphGap === 0 ? 0 : (lines.at(-1)?.paragraph ?? 0) * paragraphGap * sizePx;

function balanced(paragraphs: readonly PreparedParagraph[], request: FitRequest, fit: Fit): Fit {
  if (!request.balance) return fit;
  return { ...fit, lines: wrapBalanced(paragraphs, request.widthPx / fit.sizePx) };
}
