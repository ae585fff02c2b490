import fc from "fast-check";
import { describe, expect, test } from "vitest";
import {
  chainsAfter,
  evolveChains,
  type LiveChains,
  liveAt,
  NO_CHAINS,
  pageTable,
  picturesNamed,
} from "./liveChain.ts";
import { evolveValues, NO_VALUES, type ValueChange } from "./values.ts";

const PAGE = { cueId: "cue-1", content: "a".repeat(64) };
const TABLE = pageTable(PAGE);
const change = (seq: number, atMs: number, lit: string | null): ValueChange => ({
  ...{ seq, atMs, tableId: TABLE, cells: { lit } },
  actor: { kind: "feed", id: "lanterns" },
});
const told = (changes: readonly ValueChange[]) => {
  let [values, chains] = [NO_VALUES, NO_CHAINS];
  for (const each of changes) {
    values = evolveValues(values, each);
    chains = evolveChains(chains, each, values);
  }
  return { values, chains };
};
const litAt = (chains: LiveChains, atMs: number) => liveAt(chains.get(TABLE), atMs)?.values.lit;

describe("what filled a page, and when", () => {
  test("at any instant it is what stood there then; the first holds for all time before it", () => {
    const { chains } = told([change(1, 1_000, "142"), change(2, 2_000, "143"), change(3, 9_000, "150")]);
    expect([0, 1_999, 2_000, 8_999, 9_000, 99_000].map((atMs) => litAt(chains, atMs))).toEqual([
      "142",
      "142",
      "143",
      "143",
      "150",
      "150",
    ]);
  });

  test("seed 1602: however many changes come, few are kept, and the last is right", () => {
    const gaps = fc.array(fc.nat(4_000), { minLength: 1, maxLength: 60 });
    fc.assert(
      fc.property(gaps, (all) => {
        let atMs = 0;
        const changes = all.map((gap, i) => {
          atMs += gap;
          return change(i + 1, atMs, String(i));
        });
        const { chains } = told(changes);
        const chain = chains.get(TABLE) ?? [];
        expect(chain.length).toBeLessThanOrEqual(9);
        expect(litAt(chains, atMs + 1_000)).toBe(String(all.length - 1));
        // In order, each at a time of its own.
        for (const [i, moment] of chain.entries())
          if (i > 0) expect(moment.atMs).toBeGreaterThan((chain[i - 1]?.atMs ?? 0) - 1e-9);
      }),
      { seed: 1602, numRuns: 200 },
    );
  });

  test("told anew, what is as it was goes on; what is other simply stands; what is gone is gone", () => {
    const { chains, values } = told([change(1, 1_000, "142"), change(2, 2_000, "143")]);
    expect(chainsAfter(chains, values).get(TABLE)).toBe(chains.get(TABLE));
    const other = chainsAfter(chains, { seq: 9, tables: { [TABLE]: { lit: "200" } } });
    expect(litAt(other, 0)).toBe("200");
    expect(chainsAfter(chains, NO_VALUES).size).toBe(0);
    expect(told([change(1, 1_000, "142"), change(2, 2_000, null)]).chains.has(TABLE)).toBe(false);
  });

  test("pictures in values are named by whole hashes alone", () => {
    const hash = "0f".repeat(32);
    expect(picturesNamed(`Ropewalk\t${hash}|x\n${hash}0`)).toEqual([hash]);
  });
});
