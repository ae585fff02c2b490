import { LONGEST_MOTION_MS } from "../motion/track.ts";
import type { ShownPage, SlotPage } from "../show/slot.ts";
import type { LiveValues, ValueChange } from "./values.ts";

/** What filled a page from a time on. */
export interface LiveMoment {
  readonly atMs: number;
  readonly values: Readonly<Record<string, string>>;
}

export type LiveChain = readonly LiveMoment[];

/** By `pageTable`: what filled each page lately, the oldest first. The first of them holds for all time before it too. */
export type LiveChains = ReadonlyMap<string, LiveChain>;

export const NO_CHAINS: LiveChains = new Map();

/** More changes than this within one motion's length: the oldest are cut short. */
const MOST_CHANGES = 8;

/** The table in which the values of a page stand: another cue, or other bindings, have another. */
export const pageTable = ({ cueId, content }: Pick<SlotPage, "cueId" | "content">): string =>
  `${content.slice(0, 16)}/${cueId}`;

/** Whether a table is of a page of that content. */
export const isTableOf = (tableId: string, content: string): boolean =>
  tableId.startsWith(`${content.slice(0, 16)}/`);

/** Pictures that a value names, as a whole or in its cells, by the hash of what is known of them. */
export const picturesNamed = (value: string): string[] => value.match(/(?<![\w])[0-9a-f]{64}(?![\w])/g) ?? [];

/** A page with what fills it as the tables are now; the same object where nothing does. */
export function withValuesOf<P extends SlotPage>(page: P, { tables }: LiveValues): P & ShownPage {
  const live = tables[pageTable(page)];
  return live ? { ...page, live } : page;
}

/** The values of a page at a time; undefined where nothing fills it. */
export function liveAt(chain: LiveChain | undefined, atMs: number): LiveMoment | undefined {
  return chain?.findLast((moment) => moment.atMs <= atMs) ?? chain?.[0];
}

/** The chains after a change of the tables, which are given as they are with it. */
export function evolveChains(
  chains: LiveChains,
  { tableId, atMs }: Pick<ValueChange, "tableId" | "atMs">,
  { tables }: LiveValues,
): LiveChains {
  const values = tables[tableId];
  const before = chains.get(tableId);
  const after = new Map(chains);
  if (!values) {
    // Nothing wears it any more.
    after.delete(tableId);
    return after;
  }
  if (!before) return after.set(tableId, [{ atMs, values }]);
  const later = Math.max(atMs, (before.at(-1)?.atMs ?? atMs) + 1);
  const chain = [...before, { atMs: later, values }];
  let base = Math.max(0, chain.length - 1 - MOST_CHANGES);
  // The one before those that still move must stay: it is what they change.
  while (base + 2 < chain.length && (chain[base + 1]?.atMs ?? 0) + LONGEST_MOTION_MS < later) base++;
  return after.set(tableId, chain.slice(base));
}

/** The chains when all values are told at once: what is as it was goes on as it was, all else simply stands. */
export const chainsAfter = (chains: LiveChains, { tables }: LiveValues): LiveChains =>
  new Map(
    Object.entries(tables).map(([tableId, values]) => {
      const known = chains.get(tableId);
      const isSame = known && JSON.stringify(known.at(-1)?.values) === JSON.stringify(values);
      return [tableId, isSame ? known : [{ atMs: Number.NEGATIVE_INFINITY, values }]];
    }),
  );

/** The chains with all that they moved come to rest: for pictures that stand still. */
export const atRest = (chains: LiveChains): LiveChains =>
  new Map(
    [...chains].map(([table, chain]) => [
      table,
      chain.slice(-1).map(({ values }) => ({ values, atMs: Number.NEGATIVE_INFINITY })),
    ]),
  );
