import { useEffect, useState } from "react";
import { usedTable } from "../../core/values/tables.ts";
import { ask } from "../api/call.ts";
import type { FeedRows } from "../api/calls.ts";
import { useDesk } from "./deskContext.ts";
import { useTable } from "./useLiveValues.ts";

const TYPED_MS = 120;

export interface RowsWanted {
  readonly feedId: string;
  readonly words?: string;
  readonly most?: number;
  readonly after?: string;
  readonly asRead?: boolean;
}

/** Rows of a feed as they are now: asked for again whenever it has others. Undefined until they are here. */
export function useFeedRows({
  feedId,
  words = "",
  most = 50,
  after,
  asRead = false,
}: RowsWanted): FeedRows | undefined {
  const { feeds } = useDesk("feeds");
  const version = feeds.find(({ id }) => id === feedId)?.version ?? 0;
  const used = useTable(usedTable(feedId));
  // Rows for other words than these are no answer: what is picked from them would be another.
  const [found, setFound] = useState<{ readonly words: string; readonly rows: FeedRows }>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: another table or other marks are other rows
  useEffect(() => {
    const end = new AbortController();
    const query = new URLSearchParams({ id: feedId, words, most: String(most) });
    if (after !== undefined) query.set("after", after);
    if (asRead) query.set("asRead", "yes");
    const timer = setTimeout(
      () =>
        void ask("/feed-rows", `?${query}`, end.signal).then((answer) => {
          if ("value" in answer && !end.signal.aborted) setFound({ words, rows: answer.value });
        }),
      words === "" ? 0 : TYPED_MS,
    );
    return () => {
      clearTimeout(timer);
      end.abort();
    };
  }, [feedId, words, most, after, asRead, version, used]);
  return found?.words === words ? found.rows : undefined;
}
