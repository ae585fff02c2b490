import type { BreakRank, FlowUnit } from "./flow.ts";

/**
 * The slides of one outfit by a number of lines: as many as allowed, a new slide where one must begin, and no
 * single line left over at the end where it can be helped.
 * @returns index of the unit each slide begins with, ascending from 0
 */
export function divideByLines(units: readonly FlowUnit[], maxLines: number): number[] {
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
      const left = end - from;
      const leavesOne = left === maxLines + 1 && maxLines >= 3;
      from += leavesOne ? maxLines - 1 : Math.min(maxLines, left);
    }
    stanza = end;
  }
  return starts;
}

/** What a break after a unit of that rank costs, against one whole slide more at 100. */
const BREAK_COST: Readonly<Record<BreakRank, number>> = {
  verse: 0,
  sentence: 10,
  clause: 30,
  line: 40,
  word: 90,
};
const SLIDE_COST = 100;
/** For a slide left quite empty; grows with the square, so that slides come out even. */
const EMPTY_COST = 60;

/**
 * The slides of one outfit by what fits: the division with the least cost, counting slides, bad breaks and
 * unevenness. Optimal by dynamic programming over where slides end.
 * @param fillOf how full (0 to 1) a slide with units [from, to) would be at the smallest readable size, or
 *   undefined when they do not fit; must not fit once it has not fitted for a shorter stretch
 */
export function divideByFit(
  units: readonly FlowUnit[],
  fillOf: (from: number, to: number) => number | undefined,
): number[] {
  const count = units.length;
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
      const total = (cost[from] as number) + SLIDE_COST + BREAK_COST[rank] + EMPTY_COST * empty * empty;
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

/** Where any outfit begins a slide, a step begins. */
export function uniteDivisions(divisions: readonly (readonly number[])[]): number[] {
  return [...new Set(divisions.flat())].sort((a, b) => a - b);
}
