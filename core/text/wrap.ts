import type { PreparedParagraph } from "./prepare.ts";

/** A line before it is shaped: segments [from, to) of one paragraph. */
export interface LineRange {
  readonly paragraph: number;
  readonly from: number;
  readonly to: number;
  readonly widthEm: number;
}

/**
 * Greedy first-fit lines.
 * @param widthEm the room of a line in em; a segment wider than that stands alone and overflows
 */
export function wrapLines(paragraphs: readonly PreparedParagraph[], widthEm: number): LineRange[] {
  const lines: LineRange[] = [];
  for (const [index, { segments }] of paragraphs.entries()) {
    let from = 0;
    let used = 0;
    let pendingSpace = 0;
    for (let i = 0; i < segments.length; i++) {
      const segment = segments[i] as (typeof segments)[number];
      if (i > from && used + pendingSpace + segment.widthEm > widthEm) {
        lines.push({ paragraph: index, from, to: i, widthEm: used });
        from = i;
        used = segment.widthEm - segment.hangEm;
      } else used += i === from ? segment.widthEm - segment.hangEm : pendingSpace + segment.widthEm;
      pendingSpace = segment.spaceEm;
    }
    lines.push({ paragraph: index, from, to: segments.length, widthEm: used });
  }
  return lines;
}

/** The widest line, in em. */
export function widestEm(lines: readonly LineRange[]): number {
  return lines.reduce((widest, line) => Math.max(widest, line.widthEm), 0);
}

/**
 * As few lines as `wrapLines` needs, but as even as they can be: each paragraph is wrapped again in the
 * narrowest room that does not cost it another line.
 */
export function wrapBalanced(paragraphs: readonly PreparedParagraph[], widthEm: number): LineRange[] {
  return paragraphs.flatMap((paragraph, index) => {
    const alone = [paragraph];
    let best = wrapLines(alone, widthEm);
    const count = best.length;
    if (count > 1) {
      let low = 0;
      let high = widthEm;
      for (let i = 0; i < 14; i++) {
        const middle = (low + high) / 2;
        const tried = wrapLines(alone, middle);
        if (tried.length === count && widestEm(tried) <= widthEm) {
          best = tried;
          high = middle;
        } else low = middle;
      }
    }
    return best.map((line) => ({ ...line, paragraph: index }));
  });
}
