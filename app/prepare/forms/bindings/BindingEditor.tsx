import { ChevronDown, ChevronUp, Plug, Unplug, X } from "lucide-react";
import { useState } from "react";
import type { Binding, Picks, RowChoice } from "../../../../core/feeds/binding.ts";
import { type FeedView, feedTrouble } from "../../../../core/feeds/feedView.ts";
import { type CellFormat, cellFormatSchema } from "../../../../core/feeds/formatCell.ts";
import { t } from "../../../../core/language/t.ts";
import { fieldsIn } from "../../../../core/scene/writtenWords.ts";
import { useDesk } from "../../../desk/deskContext.ts";
import { useFeedRows } from "../../../desk/useFeedRows.ts";
import { NamedPicture } from "../../../pictures/NamedPicture.tsx";
import { NumberBox } from "../../../ui/NumberBox.tsx";
import { FORMATS_OFFERED, formatName } from "./formatsOffered.ts";
import { useBindingNow } from "./useBindingNow.ts";

const box = "min-h-9 min-w-0 rounded-md border border-edge-strong bg-ground px-2 text-[15px]";

/** A field's binding: what it gives now, and which row, words and formats it takes. */
export function BindingEditor({
  label,
  isPicture,
  binding,
  picks,
  onChange,
  onUnbind,
}: {
  /** Of the field. */
  label: string;
  /** It takes the name of a picture. */
  isPicture: boolean;
  binding: Binding;
  picks: Picks;
  onChange: (binding: Binding) => void;
  onUnbind: () => void;
}) {
  const { feeds } = useDesk("feeds");
  const feed = feeds.find(({ id }) => id === binding.feedId);
  const now = useBindingNow(binding, picks);
  const [isOpen, setIsOpen] = useState(false);
  const trouble = feed && feedTrouble(feed);
  const Sign = feed && !trouble ? Plug : Unplug;
  const used = binding.kind === "rows" ? binding.columns : fieldsIn(binding.text);
  return (
    <div className="mt-1.5 rounded-md border border-act/60 bg-act-ground/50 px-3 py-1.5 text-[15px]">
      <div className="flex items-center gap-2">
        <Sign
          aria-hidden="true"
          className={`size-4 shrink-0 ${feed && !trouble ? "text-act" : "text-attention"}`}
        />
        <p className="min-w-0 flex-1 truncate">
          <span className="text-second">{feed?.doc.name ?? t`a feed that was removed`}:</span>{" "}
          <span className="sr-only">{t`now`} </span>
          {isPicture && now && "text" in now && (
            <NamedPicture
              name={now.text}
              version={feed?.version ?? 0}
              className="mr-2 inline-block h-7 w-10 rounded align-middle"
            />
          )}
          {now && "text" in now && <output className="font-semibold">{shortOf(now.text)}</output>}
          {now && "waits" in now && <output className="text-second">{t`nothing picked yet`}</output>}
          {now && "problem" in now && <output className="text-attention">{now.problem}</output>}
          {trouble && <span className="text-attention"> · {trouble}</span>}
        </p>
        <button
          type="button"
          aria-expanded={isOpen}
          onClick={() => setIsOpen(!isOpen)}
          className="flex min-h-8 items-center gap-1 rounded-md px-2 hover:bg-lifted"
        >
          {isOpen ? (
            <ChevronUp aria-hidden="true" className="size-4" />
          ) : (
            <ChevronDown aria-hidden="true" className="size-4" />
          )}
          {rowWords(binding)}
          <span className="sr-only"> {t`for ${label}`}</span>
        </button>
        <button
          type="button"
          title={t`No longer from a feed`}
          onClick={onUnbind}
          className="grid size-8 place-content-center rounded-md hover:bg-lifted"
        >
          <X aria-hidden="true" className="size-4" />
          <span className="sr-only">{t`No longer fill “${label}” from a feed`}</span>
        </button>
      </div>
      {isOpen && feed && (
        <div className="mt-1.5 flex flex-col gap-2 border-t border-edge pt-2 pb-1">
          {binding.kind === "cell" ? (
            <>
              <label className="flex items-center gap-2">
                <span className="w-24 shrink-0 text-second">{t`Words`}</span>
                <input
                  value={binding.text}
                  maxLength={400}
                  onChange={({ target }) =>
                    target.value !== "" && onChange({ ...binding, text: target.value })
                  }
                  className={`${box} flex-1`}
                />
              </label>
              <div className="flex flex-wrap items-center gap-2">
                <span className="w-24 shrink-0 text-second">{t`Put in`}</span>
                {feed.columns.map((column) => (
                  <button
                    key={column}
                    type="button"
                    onClick={() => onChange({ ...binding, text: `${binding.text}{${column}}`.slice(0, 400) })}
                    className="min-h-8 rounded-md bg-lifted px-2 text-[14px] hover:bg-edge"
                  >
                    {column}
                  </button>
                ))}
              </div>
              <RowLine row={binding.row} feed={feed} onChange={(row) => onChange({ ...binding, row })} />
            </>
          ) : (
            <RowsLine binding={binding} feed={feed} onChange={onChange} />
          )}
          {used.map((column) => (
            <label key={column} className="flex items-center gap-2">
              <span className="w-24 shrink-0 truncate text-second">{t`${column} as`}</span>
              <select
                value={formatName(binding.formats[column])}
                onChange={({ target }) =>
                  onChange(withFormat(binding, column, FORMATS_OFFERED[target.value]?.format))
                }
                className={box}
              >
                {Object.entries(FORMATS_OFFERED).map(([name, { label: shown }]) => (
                  <option key={name} value={name}>
                    {shown}
                  </option>
                ))}
              </select>
            </label>
          ))}
          <label className="flex items-center gap-2">
            <span className="w-24 shrink-0 text-second">{t`When empty`}</span>
            <input
              value={binding.empty}
              maxLength={200}
              placeholder={t`nothing`}
              onChange={({ target }) => onChange({ ...binding, empty: target.value })}
              className={`${box} flex-1`}
            />
          </label>
        </div>
      )}
    </div>
  );
}

const SHOWN_LETTERS = 120;
const shortOf = (text: string): string => {
  const line = text.replace(/\t/g, "  ").replace(/\n/g, "  ·  ");
  if (line.trim() === "") return "empty";
  return line.length > SHOWN_LETTERS ? `${line.slice(0, SHOWN_LETTERS)}…` : line;
};

/** Which row or rows, in a few words. */
function rowWords(binding: Binding): string {
  if (binding.kind === "rows")
    return t`${binding.columns.length > 1 ? t`${binding.columns.length} columns` : binding.columns[0]}, ${binding.mostRows} rows at most`;
  switch (binding.row.by) {
    case "number":
      return t`row ${binding.row.number}`;
    case "key":
      return t`row “${binding.row.key}”`;
    case "rank":
      return t`no. ${binding.row.rank} by ${binding.row.column}`;
    case "pick":
      return t`the row that is picked`;
  }
}

function withFormat(binding: Binding, column: string, format: CellFormat | undefined): Binding {
  const { [column]: _, ...others } = binding.formats;
  return { ...binding, formats: format ? { ...others, [column]: cellFormatSchema.parse(format) } : others };
}

function RowLine({
  row,
  feed,
  onChange,
}: {
  row: RowChoice;
  feed: FeedView;
  onChange: (row: RowChoice) => void;
}) {
  const rows = useFeedRows({ feedId: feed.id, most: 200, asRead: true });
  const [first = ""] = feed.columns;
  const change = (by: string) => {
    if (by === "number") onChange({ by, number: 1 });
    else if (by === "key") onChange({ by, key: rows?.rows[0]?.key ?? "1" });
    else if (by === "rank")
      onChange({
        by,
        column: feed.columns.find((column) => feed.kinds[column] === "number") ?? first,
        down: true,
        rank: 1,
      });
    else onChange({ by: "pick" });
  };
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="w-24 shrink-0 text-second">{t`Row`}</span>
      <select
        aria-label={t`How the row is found`}
        value={row.by}
        onChange={({ target }) => change(target.value)}
        className={box}
      >
        <option value="number">{t`by its number`}</option>
        <option value="key">{t`by its name`}</option>
        <option value="rank">{t`by its rank`}</option>
        <option value="pick">{t`picked for the page`}</option>
      </select>
      {row.by === "number" && (
        <NumberBox
          label={t`Number of the row`}
          value={row.number}
          min={1}
          max={20_000}
          onSave={(number) => onChange({ by: "number", number })}
        />
      )}
      {row.by === "key" && (
        <select
          aria-label={t`Name of the row`}
          value={row.key}
          onChange={({ target }) => onChange({ by: "key", key: target.value })}
          className={`${box} max-w-56`}
        >
          {[...new Set([row.key, ...(rows?.rows ?? []).map(({ key }) => key)])].map((key) => (
            <option key={key}>{key}</option>
          ))}
        </select>
      )}
      {row.by === "rank" && (
        <>
          <NumberBox
            label={t`Rank`}
            value={row.rank}
            min={1}
            max={20_000}
            className="w-16"
            onSave={(rank) => onChange({ ...row, rank })}
          />
          <span className="text-second">{t`of`}</span>
          <ColumnSelect
            label={t`Ranked by`}
            value={row.column}
            columns={feed.columns}
            onChange={(column) => onChange({ ...row, column })}
          />
          <OrderSelect down={row.down} onChange={(down) => onChange({ ...row, down })} />
        </>
      )}
    </div>
  );
}

function RowsLine({
  binding,
  feed,
  onChange,
}: {
  binding: Extract<Binding, { kind: "rows" }>;
  feed: FeedView;
  onChange: (binding: Binding) => void;
}) {
  const { columns, sortBy, mostRows } = binding;
  const [first = ""] = feed.columns;
  return (
    <>
      <div className="flex flex-wrap items-center gap-2">
        <span className="w-24 shrink-0 text-second">{t`Columns`}</span>
        {columns.map((column, at) => (
          <span key={column} className="flex items-center rounded-md bg-lifted text-[14px]">
            <button
              type="button"
              disabled={at === 0}
              title={at === 0 ? t`The first` : t`One place forward`}
              onClick={() => onChange({ ...binding, columns: movedForward(columns, at) })}
              className="min-h-8 rounded-md px-2 enabled:hover:bg-edge"
            >
              {column}
            </button>
            {columns.length > 1 && (
              <button
                type="button"
                title={t`Without ${column}`}
                onClick={() => onChange({ ...binding, columns: columns.filter((each) => each !== column) })}
                className="grid size-8 place-content-center rounded-md hover:bg-edge"
              >
                <X aria-hidden="true" className="size-3.5" />
                <span className="sr-only">{t`Without ${column}`}</span>
              </button>
            )}
          </span>
        ))}
        {feed.columns.some((column) => !columns.includes(column)) && (
          <select
            aria-label={t`One more column`}
            value=""
            onChange={({ target }) =>
              target.value && onChange({ ...binding, columns: [...columns, target.value] })
            }
            className={box}
          >
            <option value="">{t`one more…`}</option>
            {feed.columns
              .filter((column) => !columns.includes(column))
              .map((column) => (
                <option key={column}>{column}</option>
              ))}
          </select>
        )}
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <span className="w-24 shrink-0 text-second">{t`Rows`}</span>
        <span className="text-second">{t`the first`}</span>
        <NumberBox
          label={t`Rows at most`}
          value={mostRows}
          min={1}
          max={200}
          className="w-16"
          onSave={(most) => onChange({ ...binding, mostRows: most })}
        />
        <select
          aria-label={t`In which order`}
          value={sortBy?.column ?? ""}
          onChange={({ target }) =>
            onChange({
              ...binding,
              sortBy:
                target.value === "" ? null : { column: target.value || first, down: sortBy?.down ?? true },
            })
          }
          className={box}
        >
          <option value="">{t`as they stand`}</option>
          {feed.columns.map((column) => (
            <option key={column} value={column}>
              {t`sorted by ${column}`}
            </option>
          ))}
        </select>
        {sortBy && (
          <OrderSelect
            down={sortBy.down}
            onChange={(down) => onChange({ ...binding, sortBy: { ...sortBy, down } })}
          />
        )}
      </div>
    </>
  );
}

const movedForward = (columns: readonly string[], at: number): string[] => {
  const moved = [...columns];
  const [column] = moved.splice(at, 1);
  if (column !== undefined) moved.splice(at - 1, 0, column);
  return moved;
};

function ColumnSelect({
  label,
  value,
  columns,
  onChange,
}: {
  label: string;
  value: string;
  columns: readonly string[];
  onChange: (column: string) => void;
}) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={({ target }) => onChange(target.value)}
      className={box}
    >
      {[...new Set([value, ...columns])].map((column) => (
        <option key={column}>{column}</option>
      ))}
    </select>
  );
}

const OrderSelect = ({ down, onChange }: { down: boolean; onChange: (down: boolean) => void }) => (
  <select
    aria-label={t`Largest or smallest first`}
    value={down ? "down" : "up"}
    onChange={({ target }) => onChange(target.value === "down")}
    className={box}
  >
    <option value="down">{t`largest first`}</option>
    <option value="up">{t`smallest first`}</option>
  </select>
);
