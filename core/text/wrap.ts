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

/** What a break after a mark is worth, against the squared unevenness of the lines around it. */
const AFTER_MARK = 0.2;
const MARK_AT_END = /[,;:.!?…—–،؛؟。、][”’"')»]?\s*$/u;

/**
 * As few lines as `wrapLines` needs, but as even as they can be, and better broken after a mark than in the middle of
 * what belongs together. Optimal for each paragraph by dynamic programming over where its lines end.
 */
export function wrapBalanced(paragraphs: readonly PreparedParagraph[], widthEm: number): LineRange[] {
  return paragraphs.flatMap((paragraph, index) => {
    const greedy = wrapLines([paragraph], widthEm);
    const lines = greedy.length > 1 ? (evenLines(paragraph, widthEm, greedy.length) ?? greedy) : greedy;
    return lines.map((line) => ({ ...line, paragraph: index }));
  });
}

/** @returns undefined when no division into so many lines fits: a segment is wider than the room */
function evenLines(
  { text, segments }: PreparedParagraph,
  widthEm: number,
  count: number,
): LineRange[] | undefined {
  const total = segments.reduce((sum, segment) => sum + segment.widthEm + segment.spaceEm, 0);
  const wanted = total / count;
  const endsWell = segments.map(({ start, end }) => MARK_AT_END.test(text.slice(start, end)));
  // cost[line][to]: the best way to set segments [0, to) in `line` lines.
  const cost = Array.from({ length: count + 1 }, () =>
    new Float64Array(segments.length + 1).fill(Number.POSITIVE_INFINITY),
  );
  const begins = cost.map((row) => new Int32Array(row.length));
  (cost[0] as Float64Array)[0] = 0;
  for (let line = 1; line <= count; line++) {
    const before = cost[line - 1] as Float64Array;
    const here = cost[line] as Float64Array;
    for (let from = 0; from < segments.length; from++) {
      if (before[from] === Number.POSITIVE_INFINITY) continue;
      let width = -(segments[from]?.hangEm ?? 0);
      for (let to = from + 1; to <= segments.length; to++) {
        const last = segments[to - 1] as (typeof segments)[number];
        width += last.widthEm + (to - 1 > from ? (segments[to - 2]?.spaceEm ?? 0) : 0);
        if (width > widthEm) break;
        const uneven = (width - wanted) / wanted;
        const bonus = to < segments.length && endsWell[to - 1] ? AFTER_MARK : 0;
        const sum = (before[from] as number) + uneven * uneven - bonus;
        if (sum < (here[to] as number)) {
          here[to] = sum;
          (begins[line] as Int32Array)[to] = from;
        }
      }
    }
  }
  if ((cost[count] as Float64Array)[segments.length] === Number.POSITIVE_INFINITY) return undefined;
  const lines: LineRange[] = [];
  let to = segments.length;
  for (let line = count; line >= 1; line--) {
    const from = (begins[line] as Int32Array)[to] as number;
    lines.unshift({ paragraph: 0, from, to, widthEm: widthOf(segments, from, to) });
    to = from;
  }
  return lines;
}

function widthOf(segments: PreparedParagraph["segments"], from: number, to: number): number {
  let width = -(segments[from]?.hangEm ?? 0);
  for (let i = from; i < to; i++)
    width += (segments[i]?.widthEm ?? 0) + (i + 1 < to ? (segments[i]?.spaceEm ?? 0) : 0);
  return width;
}
