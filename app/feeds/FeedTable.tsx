import { KeyRound } from "lucide-react";
import { COLUMN_KINDS } from "../../core/feeds/columnKinds.ts";
import type { FeedView } from "../../core/feeds/feedView.ts";
import { t } from "../../core/language/t.ts";
import { useFeedRows } from "../desk/useFeedRows.ts";
import { NamedPicture } from "../pictures/NamedPicture.tsx";

const SHOWN_ROWS = 100;

/** The last good table as it was read, with the kinds that were found and the column that names rows. */
export function FeedTable({ feed, onKey }: { feed: FeedView; onKey: (column: string) => void }) {
  const rows = useFeedRows({ feedId: feed.id, most: SHOWN_ROWS, asRead: true });
  const { keyColumn } = feed.doc;
  const bad = feed.fault;
  if (feed.version === 0)
    return (
      <p className="rounded-lg border border-dashed border-edge-strong px-5 py-6 text-[15px] text-second">
        {t`Nothing was read yet. As soon as it is, its table stands here.`}
      </p>
    );
  return (
    <section aria-label={t`Its table`} className="min-w-0">
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
      <div tabIndex={0} className="max-h-[340px] overflow-auto rounded-lg border border-edge">
        <table className="w-full border-separate border-spacing-0 text-[15px]">
          <thead>
            <tr>
              <th
                scope="col"
                className="sticky top-0 left-0 z-20 w-12 border-b border-edge bg-lifted px-3 py-2 text-right font-normal text-second"
              >
                <span className="sr-only">{t`Row`}</span>
              </th>
              {feed.columns.map((column) => {
                const kind = COLUMN_KINDS[feed.kinds[column] ?? "words"];
                const isKey = column === keyColumn;
                return (
                  <th
                    key={column}
                    scope="col"
                    className={`sticky top-0 z-10 border-b border-edge bg-lifted px-3 py-1.5 text-left font-semibold whitespace-nowrap ${bad?.column === column ? "text-attention" : ""}`}
                  >
                    <span
                      className={`flex items-center gap-1.5 ${feed.kinds[column] === "number" ? "justify-end" : ""}`}
                    >
                      {column}
                      <button
                        type="button"
                        aria-pressed={isKey}
                        title={isKey ? t`Rows are called by it` : t`Call rows by this column`}
                        onClick={() => onKey(isKey ? "" : column)}
                        className={`grid size-7 place-content-center rounded ${isKey ? "text-act" : "text-quiet hover:text-paper"}`}
                      >
                        <KeyRound aria-hidden="true" className="size-4" />
                        <span className="sr-only">{t`Call rows by “${column}”`}</span>
                      </button>
                    </span>
                    <span
                      className={`block text-[14px] font-normal text-second ${feed.kinds[column] === "number" ? "text-right" : ""}`}
                    >
                      {kind.name.toLowerCase()}
                    </span>
                  </th>
                );
              })}
            </tr>
          </thead>
          <tbody>
            {rows?.rows.map(({ cells }, at) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a row is its place
              <tr key={at} className="odd:bg-raised/60">
                <th
                  scope="row"
                  className="sticky left-0 bg-raised px-3 py-1 text-right font-normal text-quiet tabular-nums"
                >
                  {at + 1}
                </th>
                {feed.columns.map((column, index) => (
                  <td
                    key={column}
                    className={`max-w-80 truncate px-3 py-1 ${feed.kinds[column] === "number" ? "text-right tabular-nums" : ""}`}
                    title={cells[index]}
                  >
                    {feed.kinds[column] === "picture" ? (
                      <span className="flex items-center gap-2">
                        <NamedPicture
                          name={cells[index] ?? ""}
                          version={feed.version}
                          className="h-9 w-14 rounded"
                        />
                        {cells[index]}
                      </span>
                    ) : (
                      cells[index]
                    )}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {feed.rows > SHOWN_ROWS && (
        <p className="mt-1 text-[14px] text-second">{t`The first ${SHOWN_ROWS} of ${feed.rows} rows.`}</p>
      )}
    </section>
  );
}
