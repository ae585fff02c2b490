import type { BreakRank, FlowUnit } from "./flow.ts";
import { isUnspaced } from "./searchWords.ts";
import { rankEnd } from "./sense.ts";

/** How full (0 to 1) a slide with units [from, to) would be; undefined when they do not fit. */
export type FillOf = (from: number, to: number) => number | undefined;

/** Against one slide at 1000: a slide of one line where two can be, and what the end of a line is as a break. */
const LINES_COST = { slide: 1_000, lonely: 300, withinLine: 400 } as const;
const LINE_END_COST: Readonly<Record<BreakRank, number>> = {
  verse: 0,
  sentence: 0,
  clause: 6,
  line: 10,
  word: 10,
};

/**
 * The slides of one outfit by a number of lines: as few as can be, a new slide where one must begin, no single line
 * alone where two can stand together, and where there is a choice, after a thought. The pieces of a line that was too
 * long count as one line, and stay together where they fit. Optimal by dynamic programming over where slides end.
 * @param fillOf must not fit once it has not fitted for a shorter stretch
 * @param allowed the only units that a slide may begin with; all when not said
 * @returns index of the unit each slide begins with, ascending from 0
 */
export function divideByLines(
  units: readonly FlowUnit[],
  maxLines: number,
  fillOf: FillOf = () => 1,
  allowed?: ReadonlySet<number>,
): number[] {
  if (!Number.isInteger(maxLines) || maxLines < 1)
    throw new Error(`maxLines must be 1 or more, not ${maxLines}`);
  const starts: number[] = [];
  let stanza = 0;
  while (stanza < units.length) {
    let end = stanza + 1;
    while (end < units.length && !(units[end] as FlowUnit).mustBegin) end++;
    starts.push(...divideStanza(units, stanza, end, maxLines, fillOf, allowed));
    stanza = end;
  }
  return starts;
}

function divideStanza(
  units: readonly FlowUnit[],
  begin: number,
  end: number,
  maxLines: number,
  fillOf: FillOf,
  allowed: ReadonlySet<number> | undefined,
): number[] {
  const beginsLine = (at: number) => at === begin || (units[at] as FlowUnit).join === "line";
  let stanzaLines = 0;
  for (let at = begin; at < end; at++) stanzaLines += Number(beginsLine(at));
  const count = end - begin;
  const cost = new Float64Array(count + 1).fill(Number.POSITIVE_INFINITY);
  const from = new Int32Array(count + 1).fill(-1);
  cost[0] = 0;
  for (let a = 0; a < count; a++) {
    if (cost[a] === Number.POSITIVE_INFINITY) continue;
    let lines = 0;
    for (let b = a + 1; b <= count; b++) {
      lines += Number(b === a + 1 || beginsLine(begin + b - 1));
      if (lines > maxLines) break;
      // One unit alone is always allowed: better small than lost.
      if (b > a + 1 && fillOf(begin + a, begin + b) === undefined) break;
      if (b < count && allowed && !allowed.has(begin + b)) continue;
      const isEnd = b === count;
      const breakCost = isEnd
        ? 0
        : beginsLine(begin + b)
          ? LINE_END_COST[rankEnd((units[begin + b - 1] as FlowUnit).text)]
          : LINES_COST.withinLine;
      const lonely = lines === 1 && stanzaLines > 1 ? LINES_COST.lonely : 0;
      // Of two ways that are as good, the fuller slide comes first.
      const total =
        (cost[a] as number) +
        LINES_COST.slide +
        breakCost +
        lonely +
        0.001 * (Math.min(maxLines, count) - lines) * (count - a);
      if (total < (cost[b] as number)) {
        cost[b] = total;
        from[b] = a;
      }
    }
  }
  const starts: number[] = [];
  for (let at = count; at > 0; at = from[at] as number) starts.push(begin + (from[at] as number));
  return starts.reverse();
}

/** What an outfit can hold on one slide. */
export interface Holder {
  readonly maxLines: number;
  readonly fillOf: FillOf;
}

/**
 * The slides of all outfits together, so that the fewest presses bring them all. A press shows a stretch that stands on
 * one slide of every outfit, so it fits them all: the fewest such stretches are the fewest presses, and each outfit
 * begins its own slides at some of them.
 * @returns for each outfit, the unit each slide begins with
 */
export function divideTogether(units: readonly FlowUnit[], holders: readonly Holder[]): number[][] {
  if (holders.length === 0) return [];
  const presses = new Set(
    divideByLines(
      units,
      Math.min(...holders.map(({ maxLines }) => maxLines)),
      fullest(holders.map(({ fillOf }) => fillOf)),
    ),
  );
  return holders.map(({ maxLines, fillOf }) => divideByLines(units, maxLines, fillOf, presses));
}

/** The same for words that are divided by what fits. */
export function fitTogether(units: readonly FlowUnit[], fills: readonly FillOf[]): number[][] {
  if (fills.length === 0) return [];
  const presses = new Set(divideByFit(units, fullest(fills)));
  return fills.map((fillOf) => divideByFit(units, fillOf, presses));
}

/** How full the fullest of several slides is; undefined when it does not fit on one of them. */
const fullest =
  (fills: readonly FillOf[]): FillOf =>
  (from, to) => {
    let most = 0;
    for (const fillOf of fills) {
      const fill = fillOf(from, to);
      if (fill === undefined) return undefined;
      most = Math.max(most, fill);
    }
    return most;
  };

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
 * @param allowed the only units that a slide may begin with; all when not said
 */
export function divideByFit(
  units: readonly FlowUnit[],
  fillOf: FillOf,
  allowed?: ReadonlySet<number>,
): number[] {
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
      if (to < count && allowed && !allowed.has(to)) continue;
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
