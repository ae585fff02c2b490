import { pagesInSight, type ShowState } from "../../core/show/state.ts";
import { type LiveChain, type LiveChains, pageTable } from "../../core/values/liveChain.ts";

/** The chains of pages that may be seen in a state. @returns the very ones of before where nothing of them is other */
export function chainsInSight(chains: LiveChains, state: ShowState, before: LiveChains): LiveChains {
  const own = new Map<string, LiveChain>();
  for (const page of pagesInSight(state)) {
    const table = pageTable(page);
    const chain = chains.get(table);
    if (chain) own.set(table, chain);
  }
  const isSame = own.size === before.size && [...own].every(([table, chain]) => before.get(table) === chain);
  return isSame ? before : own;
}
