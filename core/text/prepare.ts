import { findBreaks } from "./breaks.ts";
import { itemise, type TextItem } from "./itemise.ts";
import type { Shaper } from "./shaper.ts";

/** The stretch between two break opportunities. Widths in em, at any size. */
export interface Segment {
  readonly start: number;
  readonly end: number;
  /** Up to the white space at its end. */
  readonly widthEm: number;
  /** The white space at its end, which counts only when something follows on the same line. */
  readonly spaceEm: number;
}

/** One paragraph (a hard line), shaped once; from here any size is arithmetic. */
export interface PreparedParagraph {
  readonly text: string;
  readonly items: readonly TextItem[];
  readonly levels: Uint8Array;
  readonly baseLevel: number;
  readonly segments: readonly Segment[];
}

/** @param text any text; line feeds part paragraphs */
export function prepareText(
  text: string,
  fontStack: readonly string[],
  shaper: Shaper,
): readonly PreparedParagraph[] {
  return text.split(/\r\n|\r|\n|\u2028|\u2029/).map((line) => prepareParagraph(line, fontStack, shaper));
}

function prepareParagraph(text: string, fontStack: readonly string[], shaper: Shaper): PreparedParagraph {
  const { items, levels, baseLevel } = itemise(text, fontStack, shaper);
  const advances = new Float64Array(text.length + 1);
  for (const item of items) {
    const direction = item.level % 2 === 1 ? "rtl" : "ltr";
    for (const glyph of shaper.shape(item.fontId, text, item.start, item.end, direction, item.script))
      advances[glyph.cluster] = (advances[glyph.cluster] ?? 0) + glyph.advanceEm;
  }
  const segments: Segment[] = [];
  let start = 0;
  for (const { at } of text === "" ? [] : findBreaks(text)) {
    let wordsEnd = at;
    while (wordsEnd > start && /\s/.test(text[wordsEnd - 1] as string)) wordsEnd--;
    let widthEm = 0;
    let spaceEm = 0;
    for (let i = start; i < at; i++) {
      if (i < wordsEnd) widthEm += advances[i] as number;
      else spaceEm += advances[i] as number;
    }
    segments.push({ start, end: at, widthEm, spaceEm });
    start = at;
  }
  return { text, items, levels, baseLevel, segments };
}
