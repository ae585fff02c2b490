import { useState } from "react";
import { t } from "../../../core/language/t.ts";
import { type BoundRows, boundPages } from "../../../core/rundown/boundPages.ts";
import { MOST_BULK_PAGES } from "../../../core/rundown/bulkPages.ts";
import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import { useDesk } from "../../desk/deskContext.ts";
import { useFeedRows } from "../../desk/useFeedRows.ts";
import { CheckBox } from "../../ui/CheckBox.tsx";
import { fieldClass } from "../../ui/Labelled.tsx";
import { BulkPages } from "./BulkPages.tsx";

/** One page for each row of a feed, which stays bound to its row or has what stands there now. */
export function FeedPages({
  onAdd,
  onCancel,
}: {
  onAdd: (docs: readonly CueDoc[]) => Promise<void>;
  onCancel: () => void;
}) {
  const { feeds } = useDesk("feeds");
  const [chosenId, setChosenId] = useState<string>();
  const [isBound, setIsBound] = useState(true);
  const feed = feeds.find(({ id }) => id === chosenId) ?? feeds[0];
  const told = useFeedRows({ feedId: feed?.id ?? "", most: MOST_BULK_PAGES, asRead: true });
  if (!feed) return null;
  const rows: BoundRows = {
    ...{ feedId: feed.id, columns: told?.columns ?? [], keyColumn: feed.doc.keyColumn },
    rows: told?.rows.map(({ cells }) => cells).filter((cells) => cells.some((text) => text !== "")) ?? [],
  };
  return (
    <BulkPages
      scope={`${feed.id}/`}
      pasted={{ rows: rows.rows, columns: rows.columns.length, heading: rows.columns }}
      finish={(docs, mapping) => (isBound ? boundPages(docs, rows, mapping) : docs)}
      onAdd={onAdd}
      tools={
        <>
          <label className="flex items-center gap-2">
            {t`of`}
            <select
              aria-label={t`Feed`}
              data-feed-choice
              value={feed.id}
              onChange={({ target }) => setChosenId(target.value)}
              className={`${fieldClass} w-auto! text-[15px]`}
            >
              {feeds.map(({ id, doc }) => (
                <option key={id} value={id}>
                  {doc.name}
                </option>
              ))}
            </select>
          </label>
          <CheckBox label={t`each stays bound to its row`} isOn={isBound} onChange={setIsBound} />
          <button
            type="button"
            onClick={onCancel}
            className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge"
          >
            {t`Cancel`}
          </button>
        </>
      }
    />
  );
}
