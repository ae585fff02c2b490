import { useSyncExternalStore } from "react";
import type { PageContent } from "../../core/rundown/content.ts";
import { pageTable } from "../../core/values/liveChain.ts";
import { FROZEN_TABLE } from "../../core/values/tables.ts";
import { useDeskStore } from "./deskContext.ts";

type Cells = Readonly<Record<string, string>>;
const NONE: Cells = {};

/** A table of values; the same object while it is the same, so that nothing is drawn anew for others that change many times in a second. */
export function useTable(tableId: string | undefined): Cells {
  const store = useDeskStore();
  return useSyncExternalStore(
    store.subscribe,
    () => (tableId === undefined ? NONE : (store.getSnapshot().values.tables[tableId] ?? NONE)),
    () => NONE,
  );
}

/** What fills a page from feeds now; empty where nothing does. */
export const useLiveValues = (cueId: string, content: PageContent | undefined, hash: string): Cells =>
  useTable(content?.live ? pageTable({ cueId, content: hash }) : undefined);

/** Whether a cue's pages stand still, whatever their feeds say. */
export const useIsFrozen = (cueId: string): boolean => useTable(FROZEN_TABLE)[cueId] !== undefined;
