/** A distribution in a few numbers. */
export interface Distribution {
  readonly count: number;
  readonly median: number;
  readonly p95: number;
  readonly p99: number;
  readonly max: number;
}

export function distributionOf(samples: readonly number[]): Distribution {
  const sorted = [...samples].sort((a, b) => a - b);
  const at = (part: number) =>
    sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * part))] ?? Number.NaN;
  return {
    count: sorted.length,
    median: at(0.5),
    p95: at(0.95),
    p99: at(0.99),
    max: sorted.at(-1) ?? Number.NaN,
  };
}

const rounded = (value: number) => (value >= 100 ? value.toFixed(0) : value.toFixed(2));

/** One row of the table: what was measured, its distribution, the budget. */
export function printRow(what: string, unit: string, d: Distribution, budget: string): void {
  console.log(
    `| ${what} | ${unit} | ${d.count} | ${rounded(d.median)} | ${rounded(d.p95)} | ${rounded(d.p99)} | ${rounded(d.max)} | ${budget} |`,
  );
}

export function printHead(): void {
  console.log("| what | unit | n | median | p95 | p99 | max | budget |\n|---|---|---|---|---|---|---|---|");
}

/** One row with a single figure. */
export function printValue(what: string, unit: string, value: number, budget: string): void {
  console.log(`| ${what} | ${unit} | 1 | ${rounded(value)} | | | | ${budget} |`);
}
