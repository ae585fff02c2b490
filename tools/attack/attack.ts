/** What came of an attack on an instance of our own. */
export interface AttackResult {
  readonly tries: number;
  /** Each thing that did not hold, in a sentence; none is what is wanted. */
  readonly broken: readonly string[];
  /** What was measured, for the record. */
  readonly figures: readonly string[];
}

export interface Attack {
  readonly name: string;
  /** @param isLong all of it; else a part that a test run has time for */
  readonly run: (isLong: boolean) => Promise<AttackResult | { readonly skipped: string }>;
}

/** Numbers that look random and are the same in each run. Source: mulberry32, public domain. */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** Some of a list, evenly. */
export function someOf<T>(all: readonly T[], count: number): T[] {
  if (all.length <= count) return [...all];
  return Array.from({ length: count }, (_, i) => all[Math.floor((i * all.length) / count)] as T);
}
