import type { AsRunRow } from "./asRunRow.ts";

/** How many pages were brought in each stretch of time. */
export interface Pace {
  readonly fromMs: number;
  readonly takes: number;
  /** Of those, the ones that came by themselves. */
  readonly byItself: number;
}

/** @param everyMs length of a stretch */
export function paceOf(rows: readonly AsRunRow[], fromMs: number, untilMs: number, everyMs: number): Pace[] {
  const count = Math.max(1, Math.ceil((untilMs - fromMs) / everyMs));
  const paces = Array.from({ length: count }, (_, at) => ({
    fromMs: fromMs + at * everyMs,
    takes: 0,
    byItself: 0,
  }));
  const counted = new Set<number>();
  for (const { seq, fromMs: atMs, isByItself, isBrought } of rows) {
    const pace = paces[Math.floor((atMs - fromMs) / everyMs)];
    if (!pace || !isBrought || counted.has(seq)) continue;
    counted.add(seq);
    pace.takes++;
    if (isByItself) pace.byItself++;
  }
  return paces;
}
