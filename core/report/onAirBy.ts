import type { AsRunRow } from "./asRunRow.ts";
import type { Range } from "./report.ts";

/** For how long each of what rows are named by was on any screen, ms, in the order in which they came. What is on several at once counts once. */
export function onAirBy(
  rows: readonly AsRunRow[],
  nameOf: (row: AsRunRow) => string,
  { fromMs, untilMs }: Range,
): [name: string, ms: number][] {
  const sums = new Map<string, { ms: number; untilMs: number }>();
  for (const row of rows.toSorted((a, b) => a.fromMs - b.fromMs)) {
    const name = nameOf(row);
    const sum = sums.get(name) ?? { ms: 0, untilMs: fromMs };
    const endMs = Math.min(row.untilMs ?? untilMs, untilMs);
    const ms = Math.max(0, endMs - Math.max(row.fromMs, sum.untilMs));
    sums.set(name, { ms: sum.ms + ms, untilMs: Math.max(sum.untilMs, endMs) });
  }
  return [...sums].map(([name, { ms }]) => [name, ms]);
}
