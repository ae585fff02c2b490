import { orderRuns } from "./bidi.ts";
import { hangEnd, type PreparedParagraph } from "./prepare.ts";
import type { Shaper } from "./shaper.ts";
import { isTracked, RAISE_EM, RAISED_SCALE, type Spacing, UNSPACED } from "./spacing.ts";
import type { LineRange } from "./wrap.ts";

/** A glyph at its place on the baseline, x from the start of its line, in px. */
export interface PlacedGlyph {
  readonly id: number;
  readonly xPx: number;
  readonly yPx: number;
  readonly advancePx: number;
  /** Index of its cluster's first UTF-16 unit in the paragraph. */
  readonly cluster: number;
}

export interface SetRun {
  readonly fontId: string;
  readonly sizePx: number;
  /** A colour token, where the words say one. */
  readonly color: string | null;
  readonly script: string;
  readonly glyphs: readonly PlacedGlyph[];
}

/** A line as it will be painted: runs from left to right. */
export interface SetLine {
  readonly paragraph: number;
  readonly runs: readonly SetRun[];
  /** Without what hangs in the margin. */
  readonly widthPx: number;
}

/**
 * Shapes the words of each line again as they stand (kerning into a space is gone at a line's end), puts the
 * runs into visual order and places the glyphs.
 */
export function setLines(
  paragraphs: readonly PreparedParagraph[],
  lines: readonly LineRange[],
  sizePx: number,
  shaper: Shaper,
  spacing: Spacing = UNSPACED,
): SetLine[] {
  return lines.map((line) =>
    setLine(paragraphs[line.paragraph] as PreparedParagraph, line, sizePx, shaper, spacing),
  );
}

function setLine(
  paragraph: PreparedParagraph,
  line: LineRange,
  sizePx: number,
  shaper: Shaper,
  { trackingEm, hangNumbers }: Spacing,
): SetLine {
  const { text, segments, items } = paragraph;
  const first = segments[line.from];
  const last = segments[line.to - 1];
  if (!first || !last) return { paragraph: line.paragraph, runs: [], widthPx: 0 };
  const start = first.start;
  let end = last.end;
  while (end > start && /\s/.test(text[end - 1] as string)) end--;
  const onLine = items
    .filter((item) => item.start < end && item.end > start)
    .map((item) => ({ ...item, start: Math.max(item.start, start), end: Math.min(item.end, end) }));
  const words = text.slice(start, end);
  const number = hangNumbers && onLine[0]?.style.raised ? onLine[0] : undefined;
  const hangUntil = number ? hangEnd(text, number.end, end) : start;
  const runs: SetRun[] = [];
  let penPx = 0;
  let hangPx = 0;
  let trailing = 0;
  for (const item of orderRuns(onLine)) {
    const direction = item.level % 2 === 1 ? "rtl" : "ltr";
    const { raised, color } = item.style;
    const ownSize = raised ? sizePx * RAISED_SCALE : sizePx;
    const tracking = isTracked(item.script) ? trackingEm * sizePx : 0;
    const glyphs: PlacedGlyph[] = [];
    let before = -1;
    for (const glyph of shaper.shape(
      item.fontId,
      words,
      item.start - start,
      item.end - start,
      direction,
      item.script,
    )) {
      const cluster = glyph.cluster + start;
      const spaced = cluster === before ? 0 : tracking;
      before = cluster;
      const advancePx = glyph.advanceEm * ownSize + spaced;
      glyphs.push({
        id: glyph.id,
        xPx: penPx + glyph.offsetXEm * ownSize,
        yPx: glyph.offsetYEm * ownSize - (raised ? RAISE_EM * sizePx : 0),
        advancePx,
        cluster,
      });
      penPx += advancePx;
      if (cluster < hangUntil) hangPx += advancePx;
    }
    trailing = tracking;
    runs.push({ fontId: item.fontId, sizePx: ownSize, color, script: item.script, glyphs });
  }
  const width = { paragraph: line.paragraph, widthPx: penPx - hangPx - trailing };
  if (hangPx === 0 || paragraph.baseLevel % 2 === 1) return { ...width, runs };
  return {
    ...width,
    runs: runs.map((run) => ({
      ...run,
      glyphs: run.glyphs.map((glyph) => ({ ...glyph, xPx: glyph.xPx - hangPx })),
    })),
  };
}
