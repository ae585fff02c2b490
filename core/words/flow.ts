import { z } from "zod";

/**
 * Words that run over several steps. A unit is the smallest stretch that a step may begin with: a line of a
 * song, a line of poetry or a clause of a reading.
 */
export const BREAK_RANKS = ["word", "line", "clause", "sentence", "verse"] as const;
export type BreakRank = (typeof BREAK_RANKS)[number];

export const flowUnitSchema = z.strictObject({
  text: z.string().max(4_000),
  /** How it joins the unit before it on the same slide. */
  join: z.enum(["line", "space"]),
  /** A slide must begin here, whatever the room. */
  mustBegin: z.boolean(),
  /** How good a place its end is for a break. */
  endRank: z.enum(BREAK_RANKS),
  /** The verse it belongs to. */
  verse: z.strictObject({ chapter: z.number().int(), verse: z.number().int() }).nullable(),
});
export type FlowUnit = z.infer<typeof flowUnitSchema>;

/** The words of units [from, to) as one slide shows them. */
export function joinUnits(units: readonly FlowUnit[], from: number, to: number): string {
  let text = "";
  for (let i = from; i < to; i++) {
    const unit = units[i] as FlowUnit;
    text += i === from ? unit.text : (unit.join === "line" ? "\n" : " ") + unit.text;
  }
  return text;
}
