import { orderRuns } from "./bidi.ts";
import type { PreparedParagraph } from "./prepare.ts";
import type { Shaper } from "./shaper.ts";
import type { LineRange } from "./wrap.ts";

/** A glyph at its place on the baseline, x from the start of its line, in px. */
export interface PlacedGlyph {
  readonly id: number;
  readonly xPx: number;
  readonly yPx: number;
}

export interface SetRun {
  readonly fontId: string;
  readonly glyphs: readonly PlacedGlyph[];
}

/** A line as it will be painted: runs from left to right. */
export interface SetLine {
  readonly runs: readonly SetRun[];
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
): SetLine[] {
  return lines.map((line) => setLine(paragraphs[line.paragraph] as PreparedParagraph, line, sizePx, shaper));
}

function setLine(paragraph: PreparedParagraph, line: LineRange, sizePx: number, shaper: Shaper): SetLine {
  const { text, segments, items } = paragraph;
  const first = segments[line.from];
  const last = segments[line.to - 1];
  if (!first || !last) return { runs: [], widthPx: 0 };
  const start = first.start;
  let end = last.end;
  while (end > start && /\s/.test(text[end - 1] as string)) end--;
  const onLine = items
    .filter((item) => item.start < end && item.end > start)
    .map((item) => ({ ...item, start: Math.max(item.start, start), end: Math.min(item.end, end) }));
  const words = text.slice(start, end);
  const runs: SetRun[] = [];
  let penPx = 0;
  for (const item of orderRuns(onLine)) {
    const direction = item.level % 2 === 1 ? "rtl" : "ltr";
    const glyphs: PlacedGlyph[] = [];
    for (const glyph of shaper.shape(
      item.fontId,
      words,
      item.start - start,
      item.end - start,
      direction,
      item.script,
    )) {
      glyphs.push({
        id: glyph.id,
        xPx: penPx + glyph.offsetXEm * sizePx,
        yPx: glyph.offsetYEm * sizePx,
      });
      penPx += glyph.advanceEm * sizePx;
    }
    runs.push({ fontId: item.fontId, glyphs });
  }
  return { runs, widthPx: penPx };
}
