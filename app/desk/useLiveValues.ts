import { useSyncExternalStore } from "react";
import type { PageContent } from "../../core/rundown/content.ts";
import { pageTable } from "../../core/values/liveChain.ts";
import { useDeskStore } from "./deskContext.ts";

const NONE: Readonly<Record<string, string>> = {};

/** What fills a page from feeds now; the same object while it is the same, empty where nothing does. */
export function useLiveValues(
  cueId: string,
  content: PageContent | undefined,
  hash: string,
): Readonly<Record<string, string>> {
  const store = useDeskStore();
  const table = content?.live ? pageTable({ cueId, content: hash }) : undefined;
  return useSyncExternalStore(
    store.subscribe,
    () => (table === undefined ? NONE : (store.getSnapshot().values.tables[table] ?? NONE)),
    () => NONE,
  );
}
