import { useEffect, useRef, useState } from "react";
import type { FeedView } from "../../../core/feeds/feedView.ts";
import type { TableEdit } from "../../../core/feeds/tableEdit.ts";
import { call } from "../../api/call.ts";
import { newId } from "../../api/newId.ts";
import { useDeskStore } from "../../desk/deskContext.ts";
import { useActor } from "../../desk/useActor.ts";
import { useFeedRows } from "../../desk/useFeedRows.ts";
import type { GridRow } from "./tableEditsOf.ts";

const MOST_ROWS = 5_000;

/** The rows of a table as this window edits them: what is typed is there at once, and is sent in the order in which it was done. */
export function useTableEdits(feed: FeedView) {
  const store = useDeskStore();
  const actor = useActor(store.windowId);
  const told = useFeedRows({ feedId: feed.id, most: MOST_ROWS, asRead: true });
  const [shown, setShown] = useState<GridRow[]>([]);
  const waiting = useRef(0);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const known = useRef(told);
  known.current = told;
  /** The table that has the last edit from here in it. */
  const doneIn = useRef(0);

  /** What is on its way from here, or was told before the last edit came there, is newer than what was told. */
  const adopt = () => {
    const { current } = known;
    if (waiting.current === 0 && current && current.version >= doneIn.current)
      setShown(current.rows.map(({ cells }) => rowOf(current.columns, cells)));
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was told is read when it changes
  useEffect(adopt, [told]);

  const post = (edit: TableEdit | null) => {
    waiting.current++;
    queue.current = queue.current.then(async () => {
      const answer = await call("/table-edit", { id: feed.id, edit, editId: newId(), actor });
      waiting.current--;
      if ("problem" in answer) store.say("trouble", answer.problem.sentence);
      else if (answer.value.kind === "done") doneIn.current = answer.value.version;
      else store.say("trouble", answer.value.sentence);
      adopt();
    });
  };
  return {
    shown,
    setShown,
    isThere: told !== undefined,
    send: (edits: readonly TableEdit[]) => edits.forEach(post),
    undo: () => post(null),
  };
}

export const rowOf = (columns: readonly string[], cells: readonly string[]): GridRow =>
  Object.fromEntries(columns.map((column, i) => [column, cells[i] ?? ""]));
