import { editSteps } from "./editSteps.ts";

/** How many letters a word of a length may be off: short words mean too many others. */
const allowance = (length: number): number => (length < 4 ? 0 : length < 7 ? 1 : 2);

/** Whether a folded word is, begins, or is spelt nearly like one of others. */
export function isNearAny(word: string, others: Iterable<string>): boolean {
  const most = allowance(word.length);
  for (const other of others) {
    if (other.startsWith(word)) return true;
    if (most === 0 || Math.abs(other.length - word.length) > most) continue;
    if (editSteps(word, other) <= most) return true;
  }
  return false;
}
