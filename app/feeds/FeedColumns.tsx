import { useState } from "react";
import { COLUMN_KIND_NAMES, COLUMN_KINDS, type ColumnKindName } from "../../core/feeds/columnKinds.ts";
import { type ColumnRule, columnRuleSchema, type FeedDoc } from "../../core/feeds/feed.ts";
import type { FeedView } from "../../core/feeds/feedView.ts";
import { MOST_ROWS } from "../../core/feeds/table.ts";
import { t } from "../../core/language/t.ts";
import { NumberBox } from "../ui/NumberBox.tsx";
import { StaleAfter } from "./StaleAfter.tsx";

const ANY = columnRuleSchema.parse({});
const box = "min-h-9 rounded-md border border-edge-strong bg-ground px-2 text-[15px]";

/** What may stand in each column, how many rows there may be, and when the feed is called stale. */
export function FeedColumns({
  feed,
  onSave,
}: {
  feed: FeedView;
  onSave: (change: Partial<FeedDoc>) => void;
}) {
  const { doc, columns, kinds } = feed;
  const setRule = (column: string, change: Partial<ColumnRule>) => {
    const rule = { ...(doc.rules[column] ?? ANY), ...change };
    const { [column]: _, ...others } = doc.rules;
    const isAny = JSON.stringify(rule) === JSON.stringify(ANY);
    onSave({ rules: isAny ? others : { ...others, [column]: rule } });
  };
  return (
    <section aria-label={t`What is allowed`} className="flex min-w-0 flex-col gap-3">
      <h3 className="text-[16px] font-semibold">{t`What is allowed`}</h3>
      {columns.length > 0 && (
        <table className="text-[15px]">
          <thead>
            <tr className="text-left text-[14px] text-second">
              <th scope="col" className="pr-3 pb-1 font-normal">
                {t`Column`}
              </th>
              <th scope="col" className="pr-3 pb-1 font-normal">
                {t`holds`}
              </th>
              <th scope="col" className="pr-3 pb-1 font-normal">
                {t`from`}
              </th>
              <th scope="col" className="pr-3 pb-1 font-normal">
                {t`to`}
              </th>
              <th scope="col" className="pb-1 font-normal">
                {t`only one of`}
              </th>
            </tr>
          </thead>
          <tbody>
            {columns.map((column) => {
              const rule = doc.rules[column] ?? ANY;
              const isNumber = (rule.kind ?? kinds[column]) === "number";
              return (
                <tr key={column}>
                  <th scope="row" className="max-w-40 truncate py-1 pr-3 text-left font-normal">
                    {column}
                  </th>
                  <td className="py-1 pr-3">
                    <select
                      aria-label={t`What “${column}” holds`}
                      value={rule.kind ?? ""}
                      onChange={({ target }) =>
                        setRule(column, { kind: (target.value || null) as ColumnKindName | null })
                      }
                      className={box}
                    >
                      <option value="">
                        {t`found: ${COLUMN_KINDS[kinds[column] ?? "words"].name.toLowerCase()}`}
                      </option>
                      {COLUMN_KIND_NAMES.map((name) => (
                        <option key={name} value={name}>
                          {COLUMN_KINDS[name].name.toLowerCase()}
                        </option>
                      ))}
                    </select>
                  </td>
                  {(["from", "to"] as const).map((end) => (
                    <td key={end} className="py-1 pr-3">
                      {isNumber && (
                        <NumberBox
                          label={end === "from" ? t`The least in “${column}”` : t`The most in “${column}”`}
                          value={rule[end]}
                          min={-1e12}
                          max={1e12}
                          step={0.01}
                          className="w-24"
                          onSave={(value) => setRule(column, { [end]: value })}
                          onClear={() => setRule(column, { [end]: null })}
                        />
                      )}
                    </td>
                  ))}
                  <td className="py-1">
                    <OneOf
                      column={column}
                      value={rule.oneOf}
                      onSave={(oneOf) => setRule(column, { oneOf })}
                    />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2 text-[15px]">
        <span className="flex items-center gap-2">
          <label htmlFor="feed-most" className="text-second">
            {t`At most`}
          </label>
          <NumberBox
            id="feed-most"
            value={doc.mostRows}
            min={1}
            max={MOST_ROWS}
            className="w-24"
            onSave={(mostRows) => onSave({ mostRows })}
          />
          {t`rows`}
        </span>
        <StaleAfter staleAfterMs={doc.staleAfterMs} onSave={onSave} />
        <span className="flex items-center gap-2">
          <label htmlFor="feed-order" className="text-second">
            {t`Rows are picked in the order of`}
          </label>
          <select
            id="feed-order"
            value={doc.orderColumn}
            onChange={({ target }) => onSave({ orderColumn: target.value })}
            className={box}
          >
            <option value="">{t`the table`}</option>
            {columns.map((column) => (
              <option key={column}>{column}</option>
            ))}
          </select>
        </span>
      </div>
    </section>
  );
}

function OneOf({
  column,
  value,
  onSave,
}: {
  column: string;
  value: readonly string[];
  onSave: (oneOf: string[]) => void;
}) {
  const written = value.join(", ");
  const [typed, setTyped] = useState(written);
  const read = () =>
    typed
      .split(",")
      .map((each) => each.trim())
      .filter((each) => each !== "");
  return (
    <input
      aria-label={t`All that may stand in “${column}”, parted by commas`}
      value={typed}
      placeholder={t`anything`}
      onChange={({ target }) => setTyped(target.value)}
      onBlur={() => read().join(", ") !== written && onSave(read())}
      onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
      className={`${box} w-full min-w-28`}
    />
  );
}
