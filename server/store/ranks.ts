import { generateKeyBetween, generateNKeysBetween } from "fractional-indexing";

/**
 * Places in an order: text that sorts by its code units, with room for another between any two, however often.
 * Nothing else in the order has to be written anew.
 */
export type Rank = string;

/** So many ranks from the start. */
export const firstRanks = (count: number): Rank[] => generateNKeysBetween(null, null, count);

/**
 * So many ranks in a row after one and before another.
 * @param after null: at the very start
 * @param before null: at the very end
 * @throws when the two are not in order
 */
export const ranksBetween = (after: Rank | null, before: Rank | null, count: number): Rank[] =>
  generateNKeysBetween(after, before, count);

/** A rank that is not taken: the wanted one, else the next after it. */
export function freeRank(wanted: Rank, taken: readonly Rank[]): Rank {
  if (!taken.includes(wanted)) return wanted;
  const next = taken.filter((rank) => rank > wanted).sort()[0] ?? null;
  return generateKeyBetween(wanted, next);
}
