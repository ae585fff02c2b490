import { z } from "zod";

/**
 * Words that run over several steps. A unit is the smallest stretch that a step may begin with: a line of a
 * song, a line of poetry or a clause of a reading.
 */
export const BREAK_RANKS = ["word", "line", "clause", "sentence", "verse"] as const;
export type BreakRank = (typeof BREAK_RANKS)[number];

export const flowUnitSchema = z.strictObject({
  text: z.string().max(4_000),
  /** How it joins the unit before it on the same slide: where a script has no spaces, with nothing between. */
  join: z.enum(["line", "space", "none"]),
  /** A slide must begin here, whatever the room. */
  mustBegin: z.boolean(),
  /** How good a place its end is for a break. */
  endRank: z.enum(BREAK_RANKS),
  /** The verse it belongs to. */
  verse: z.strictObject({ chapter: z.number().int(), verse: z.number().int() }).nullable(),
  /** The same words in a second language, for screens that show both. */
  second: z.string().max(4_000).nullable().default(null),
});
export type FlowUnit = z.infer<typeof flowUnitSchema>;

const BETWEEN: Readonly<Record<FlowUnit["join"], string>> = { line: "\n", space: " ", none: "" };

/** The second language of units [from, to), joined as the first is. */
export function joinSecond(units: readonly FlowUnit[], from: number, to: number): string {
  let text = "";
  for (let i = from; i < to; i++) {
    const { second, join } = units[i] as FlowUnit;
    if (second) text += (text === "" ? "" : BETWEEN[join]) + second;
  }
  return text;
}

/**
 * The words of units [from, to) as one slide shows them.
 * @param numbers puts a raised number, tied by a no-break space, before the first words of each verse
 */
export function joinUnits(units: readonly FlowUnit[], from: number, to: number, numbers = false): string {
  let text = "";
  for (let i = from; i < to; i++) {
    const unit = units[i] as FlowUnit;
    if (i > from) text += BETWEEN[unit.join];
    const before = units[i - 1]?.verse;
    const isNew = unit.verse && (before?.verse !== unit.verse.verse || before.chapter !== unit.verse.chapter);
    if (numbers && unit.verse && isNew) text += `^${unit.verse.verse}^\u00a0`;
    text += unit.text;
  }
  return text;
}
