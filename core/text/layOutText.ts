import { LRUCache } from "lru-cache";
import { blockHeightPx, type Fit, type FitRequest, fitText, SIZE_STEP_PX } from "./fit.ts";
import { asChoice, type FontChoice } from "./fontChoice.ts";
import type { MarkedText } from "./marks.ts";
import { type PreparedParagraph, prepareText } from "./prepare.ts";
import { type SetLine, setLines } from "./setLines.ts";
import type { Shaper } from "./shaper.ts";
import { type Spacing, UNSPACED } from "./spacing.ts";
import { type LineRange, widestEm, wrapLines } from "./wrap.ts";

export interface TextBlockRequest extends Omit<FitRequest, "lineBoxEm"> {
  /** Fonts to try for each character, best first. */
  readonly fonts: FontChoice | readonly string[];
  /** See the text object of the template format. */
  readonly mode: "fit" | "wrap" | "condense" | "clip";
  /** How far letters may be narrowed. */
  readonly condenseTo: number;
  readonly spacing?: Spacing;
}

/** Words set in their box: what a text object paints. */
export interface TextBlock {
  readonly sizePx: number;
  /** Letters are narrowed by this, about the left end of each line. */
  readonly condensed: number;
  readonly lines: readonly SetLine[];
  /** The words of each paragraph, for what must know where a word begins. */
  readonly paragraphs: readonly string[];
  /** Whether the base direction of each line is right to left (for "start" alignment). */
  readonly rightToLeft: readonly boolean[];
  readonly ascentPx: number;
  readonly descentPx: number;
  readonly heightPx: number;
  readonly leadingPx: number;
  readonly fits: boolean;
}

/**
 * Fits words into a box and sets them.
 * Scaling is exact except where a font kerns into the space at a break, so the set lines are measured again
 * and the size goes down a step where one of them is too wide.
 */
export function layOutText(text: string | MarkedText, request: TextBlockRequest, shaper: Shaper): TextBlock {
  const fonts = asChoice(request.fonts);
  const spacing = request.spacing ?? UNSPACED;
  const paragraphs = prepareOnce(text, fonts, shaper, spacing);
  const { ascentEm, descentEm } = shaper.metrics(fonts.regular[0] as string);
  const lineBoxEm = ascentEm + descentEm;
  const finish = (
    sizePx: number,
    ranges: readonly LineRange[],
    lines: readonly SetLine[],
    fits: boolean,
    condensed: number,
  ) => ({
    sizePx,
    condensed,
    lines,
    paragraphs: paragraphs.map((paragraph) => paragraph.text),
    rightToLeft: ranges.map((line) => (paragraphs[line.paragraph]?.baseLevel ?? 0) % 2 === 1),
    ascentPx: ascentEm * sizePx,
    descentPx: descentEm * sizePx,
    heightPx: blockHeightPx(ranges.length, sizePx, request.leading, lineBoxEm),
    leadingPx: request.leading * sizePx,
    fits,
  });
  if (request.mode !== "fit") {
    const { sizePx, lines, fits, condensed } = keepSize(paragraphs, request, lineBoxEm);
    return finish(sizePx, lines, setLines(paragraphs, lines, sizePx, shaper, spacing), fits, condensed);
  }
  let maxSizePx = request.maxSizePx;
  for (;;) {
    const fit: Fit = fitText(paragraphs, { ...request, maxSizePx, lineBoxEm });
    const lines = setLines(paragraphs, fit.lines, fit.sizePx, shaper, spacing);
    const tooWide = lines.some((line) => line.widthPx > request.widthPx + 0.01);
    const smaller = fit.sizePx - SIZE_STEP_PX;
    if (fit.fits && tooWide && smaller >= request.minSizePx) {
      maxSizePx = smaller;
      continue;
    }
    return finish(fit.sizePx, fit.lines, lines, fit.fits && !tooWide, 1);
  }
}

/** Texts that are kept prepared: the same words are set for one screen after another. */
const KEPT_TEXTS = 400;
const prepared = new WeakMap<Shaper, LRUCache<string, readonly PreparedParagraph[]>>();

/** As `prepareText`; what was asked a little while ago is not worked out again. */
function prepareOnce(
  text: string | MarkedText,
  fonts: FontChoice,
  shaper: Shaper,
  spacing: Spacing,
): readonly PreparedParagraph[] {
  const kept = prepared.get(shaper) ?? new LRUCache({ max: KEPT_TEXTS });
  prepared.set(shaper, kept);
  const key = JSON.stringify([text, fonts, spacing]);
  const known = kept.get(key);
  if (known) return known;
  const paragraphs = prepareText(text, fonts, shaper, spacing);
  kept.set(key, paragraphs);
  return paragraphs;
}

/**
 * The modes that keep the size: lines, whether they stay inside, and how far letters are narrowed. Narrowed letters are
 * no taller than their box, and where the narrowest are still too wide, they get smaller after all.
 */
function keepSize(paragraphs: readonly PreparedParagraph[], request: TextBlockRequest, lineBoxEm: number) {
  const isNarrowed = request.mode === "condense";
  const toStep = (px: number) => Math.max(SIZE_STEP_PX, Math.floor(px / SIZE_STEP_PX) * SIZE_STEP_PX);
  const narrowest = isNarrowed ? request.condenseTo : 1;
  let sizePx = toStep(request.maxSizePx);
  if (isNarrowed) {
    const heightEm = (paragraphs.length - 1) * request.leading + lineBoxEm;
    const widthEm = widestEm(wrapLines(paragraphs, Number.POSITIVE_INFINITY)) * KERNING_ROOM * narrowest;
    const fitting = Math.min(
      request.heightPx / heightEm,
      widthEm > 0 ? request.widthPx / widthEm : Number.POSITIVE_INFINITY,
    );
    sizePx = toStep(Math.max(request.minSizePx, Math.min(request.maxSizePx, fitting)));
  }
  const widthEm = request.widthPx / sizePx;
  const lines = wrapLines(paragraphs, isNarrowed ? Number.POSITIVE_INFINITY : widthEm);
  const widest = widestEm(lines) * KERNING_ROOM;
  const isLow = blockHeightPx(lines.length, sizePx, request.leading, lineBoxEm) <= request.heightPx + 0.01;
  const condensed = isNarrowed ? Math.max(narrowest, Math.min(1, widthEm / widest)) : 1;
  return { sizePx, lines, condensed, fits: isLow && (widest / KERNING_ROOM) * condensed <= widthEm + 1e-6 };
}

/** For kerning that a line's end takes away or adds. */
const KERNING_ROOM = 1.0005;
