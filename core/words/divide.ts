import type { BreakRank, FlowUnit } from "./flow.ts";
import { isUnspaced } from "./searchWords.ts";

/** How full (0 to 1) a slide with units [from, to) would be; undefined when they do not fit. */
export type FillOf = (from: number, to: number) => number | undefined;

/**
 * The slides of one outfit by a number of lines: as many as allowed and as fit, a new slide where one must begin,
 * and no single line left over at the end where it can be helped. The pieces of a line that was too long count as
 * one line, and stay together where they fit.
 * @param fillOf must not fit once it has not fitted for a shorter stretch
 * @returns index of the unit each slide begins with, ascending from 0
 */
export function divideByLines(
  units: readonly FlowUnit[],
  maxLines: number,
  fillOf: FillOf = () => 1,
): number[] {
  if (!Number.isInteger(maxLines) || maxLines < 1)
    throw new Error(`maxLines must be 1 or more, not ${maxLines}`);
  const starts: number[] = [];
  let stanza = 0;
  while (stanza < units.length) {
    let end = stanza + 1;
    while (end < units.length && !(units[end] as FlowUnit).mustBegin) end++;
    let from = stanza;
    while (from < end) {
      starts.push(from);
      const begins = lineBegins(units, from, end);
      const leavesOne = begins.length === maxLines + 1 && maxLines >= 3;
      let lines = leavesOne ? maxLines - 1 : Math.min(maxLines, begins.length);
      let to = begins[lines] ?? end;
      while (lines > 1 && fillOf(from, to) === undefined) {
        lines--;
        to = begins[lines] as number;
      }
      // Not even its first line fits: as many of its pieces as do.
      while (to > from + 1 && fillOf(from, to) === undefined) to--;
      from = to;
    }
    stanza = end;
  }
  return starts;
}

/** Units in [from, end) with which a typed line begins; the first counts always. */
function lineBegins(units: readonly FlowUnit[], from: number, end: number): number[] {
  const begins = [from];
  for (let i = from + 1; i < end; i++) if ((units[i] as FlowUnit).join === "line") begins.push(i);
  return begins;
}

/** What a break after a unit of that rank costs, against one whole slide more at 100: rather that than half a thought. */
const BREAK_COST: Readonly<Record<BreakRank, number>> = {
  verse: 0,
  sentence: 45,
  clause: 130,
  line: 140,
  word: 220,
};
const SLIDE_COST = 100;
/** For a slide left quite empty; grows with the square, so that slides come out even. */
const EMPTY_COST = 60;
/** For a slide with one word on it: worth breaking at any other place. */
const WIDOW_COST = 260;

/**
 * The slides of one outfit by what fits: the division with the least cost, counting slides, bad breaks and
 * unevenness. Optimal by dynamic programming over where slides end.
 * @param fillOf at the smallest readable size; must not fit once it has not fitted for a shorter stretch
 */
export function divideByFit(units: readonly FlowUnit[], fillOf: FillOf): number[] {
  const count = units.length;
  const isWidow = (from: number, to: number) =>
    to === from + 1 && count > 1 && isOneWord((units[from] as FlowUnit).text.trim());
  const cost = new Float64Array(count + 1).fill(Number.POSITIVE_INFINITY);
  const begins = new Int32Array(count + 1).fill(-1);
  cost[0] = 0;
  for (let from = 0; from < count; from++) {
    for (let to = from + 1; to <= count; to++) {
      if (to > from + 1 && (units[to - 1] as FlowUnit).mustBegin) break;
      const fill = fillOf(from, to);
      // One unit alone is always allowed: better small than lost.
      if (fill === undefined && to > from + 1) break;
      const rank = to === count ? "verse" : (units[to - 1] as FlowUnit).endRank;
      const empty = 1 - Math.min(1, fill ?? 1);
      const total =
        (cost[from] as number) +
        SLIDE_COST +
        BREAK_COST[rank] +
        EMPTY_COST * empty * empty +
        (isWidow(from, to) ? WIDOW_COST : 0);
      if (total < (cost[to] as number)) {
        cost[to] = total;
        begins[to] = from;
      }
    }
  }
  const starts: number[] = [];
  for (let end = count; end > 0; end = begins[end] as number) starts.push(begins[end] as number);
  return starts.reverse();
}

const FEW_LETTERS = 4;
/** Scripts without spaces have words of a few letters. */
const isOneWord = (text: string) => !text.includes(" ") && !(isUnspaced(text) && text.length > FEW_LETTERS);

/** Where any outfit begins a slide, a step begins. */
export function uniteDivisions(divisions: readonly (readonly number[])[]): number[] {
  return [...new Set(divisions.flat())].sort((a, b) => a - b);
}
