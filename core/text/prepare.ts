import { findBreaks } from "./breaks.ts";
import { asChoice, type FontChoice } from "./fontChoice.ts";
import { itemise, type TextItem } from "./itemise.ts";
import { type MarkedText, plainText, sliceMarked } from "./marks.ts";
import type { Shaper } from "./shaper.ts";
import { isTracked, RAISED_SCALE, type Spacing, UNSPACED } from "./spacing.ts";

/** The stretch between two break opportunities. Widths in em, at any size. */
export interface Segment {
  readonly start: number;
  readonly end: number;
  /** Up to the white space at its end. */
  readonly widthEm: number;
  /** The white space at its end, which counts only when something follows on the same line. */
  readonly spaceEm: number;
  /** Of its width, what stands in the margin when it begins a line: a hanging number. */
  readonly hangEm: number;
}

/** One paragraph (a hard line), shaped once; from here any size is arithmetic. */
export interface PreparedParagraph {
  readonly text: string;
  readonly items: readonly TextItem[];
  readonly levels: Uint8Array;
  readonly baseLevel: number;
  readonly segments: readonly Segment[];
}

/** @param text plain or marked; line feeds part paragraphs */
export function prepareText(
  text: string | MarkedText,
  fonts: FontChoice | readonly string[],
  shaper: Shaper,
  spacing: Spacing = UNSPACED,
): readonly PreparedParagraph[] {
  const marked = typeof text === "string" ? plainText(text) : text;
  const choice = asChoice(fonts);
  const paragraphs: PreparedParagraph[] = [];
  let from = 0;
  for (const { index, 0: feed } of marked.words.matchAll(/\r\n|\r|\n|\u2028|\u2029/g)) {
    paragraphs.push(prepareParagraph(sliceMarked(marked, from, index), choice, shaper, spacing));
    from = index + feed.length;
  }
  paragraphs.push(
    prepareParagraph(
      from === 0 ? marked : sliceMarked(marked, from, marked.words.length),
      choice,
      shaper,
      spacing,
    ),
  );
  return paragraphs;
}

function prepareParagraph(
  marked: MarkedText,
  fonts: FontChoice,
  shaper: Shaper,
  { trackingEm, hangNumbers }: Spacing,
): PreparedParagraph {
  const text = marked.words;
  const { items, levels, baseLevel } = itemise(marked, fonts, shaper);
  const advances = new Float64Array(text.length + 1);
  for (const item of items) {
    const direction = item.level % 2 === 1 ? "rtl" : "ltr";
    const scale = item.style.raised ? RAISED_SCALE : 1;
    const tracking = isTracked(item.script) ? trackingEm : 0;
    let cluster = -1;
    for (const glyph of shaper.shape(item.fontId, text, item.start, item.end, direction, item.script)) {
      const spaced = glyph.cluster === cluster ? 0 : tracking;
      cluster = glyph.cluster;
      advances[cluster] = (advances[cluster] ?? 0) + glyph.advanceEm * scale + spaced;
    }
  }
  const raised = hangNumbers ? items.filter(({ style }) => style.raised) : [];
  const segments: Segment[] = [];
  let start = 0;
  for (const { at } of text === "" ? [] : findBreaks(text)) {
    let wordsEnd = at;
    while (wordsEnd > start && isSpace(text[wordsEnd - 1] as string)) wordsEnd--;
    let widthEm = 0;
    let spaceEm = 0;
    for (let i = start; i < at; i++) {
      if (i < wordsEnd) widthEm += advances[i] as number;
      else spaceEm += advances[i] as number;
    }
    let hangEm = 0;
    const number = raised.find((item) => item.start === start);
    if (number)
      for (let i = start; i < hangEnd(text, number.end, wordsEnd); i++) hangEm += advances[i] as number;
    segments.push({ start, end: at, widthEm, spaceEm, hangEm });
    start = at;
  }
  return { text, items, levels, baseLevel, segments };
}

/** White space at which a line may end; a no-break space belongs to its word. */
const isSpace = (character: string) => /[^\S\u00a0\u202f]/.test(character);

/** A hanging number ends after the no-break space that ties it to its words. */
export function hangEnd(text: string, numberEnd: number, limit: number): number {
  let end = numberEnd;
  while (end < limit && /[\u00a0\u202f]/.test(text[end] as string)) end++;
  return Math.min(end, limit);
}
