import { useState } from "react";
import {
  type FeedDoc,
  type FeedFormat,
  type FeedFormatKind,
  feedFormatSchema,
} from "../../core/feeds/feed.ts";
import type { FeedView } from "../../core/feeds/feedView.ts";
import { t } from "../../core/language/t.ts";
import { CheckBox } from "../ui/CheckBox.tsx";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import { SecondsBox } from "../ui/SecondsBox.tsx";
import type { FeedPlaces } from "./feedPlaces.ts";
import { FORMAT_NAMES } from "./feedWords.ts";

const SEPARATORS = [
  ["", t`found out`],
  [",", t`comma`],
  [";", t`semicolon`],
  ["\t", t`tab`],
  ["|", t`upright stroke`],
] as const;
const select = `${fieldClass} min-h-10 text-[15px]`;

/** How a feed is read: its source, the format and where in it the rows are. */
export function FeedReading({
  feed: { doc },
  places,
  onSave,
}: {
  feed: FeedView;
  places: FeedPlaces;
  onSave: (change: Partial<FeedDoc>) => void;
}) {
  const { source, format } = doc;
  const setFormat = (next: FeedFormat) => onSave({ format: next });
  return (
    <section aria-label={t`How it is read`} className="flex flex-col gap-3">
      <h3 className="text-[16px] font-semibold">{t`How it is read`}</h3>
      <div className="flex flex-wrap gap-3">
        <Labelled id="feed-format" label={t`Format`}>
          <select
            id="feed-format"
            value={format.kind}
            onChange={({ target }) =>
              setFormat(feedFormatSchema.parse({ kind: target.value as FeedFormatKind }))
            }
            className={select}
          >
            {Object.entries(FORMAT_NAMES).map(([kind, name]) => (
              <option key={kind} value={kind}>
                {name}
              </option>
            ))}
          </select>
        </Labelled>
        {source.kind === "watched" && (
          <Labelled id="feed-file" label={t`File`}>
            <select
              id="feed-file"
              value={source.path}
              onChange={({ target }) => onSave({ source: { kind: "watched", path: target.value } })}
              className={select}
            >
              {[...new Set([source.path, ...places.files])].map((path) => (
                <option key={path}>{path}</option>
              ))}
            </select>
          </Labelled>
        )}
        {format.kind === "csv" && (
          <Labelled id="feed-separator" label={t`Cells are parted by`}>
            <select
              id="feed-separator"
              value={format.separator ?? ""}
              onChange={({ target }) =>
                setFormat(feedFormatSchema.parse({ ...format, separator: target.value || null }))
              }
              className={select}
            >
              {SEPARATORS.map(([value, name]) => (
                <option key={name} value={value}>
                  {name}
                </option>
              ))}
            </select>
          </Labelled>
        )}
        {format.kind === "xlsx" && (
          <TypedBox
            id="feed-range"
            label={t`Sheet or range`}
            value={format.range}
            hint={t`the first sheet`}
            onSave={(range) => setFormat({ ...format, range })}
          />
        )}
        {(format.kind === "json" || format.kind === "xml") && (
          <TypedBox
            id="feed-list"
            label={format.kind === "json" ? t`Path to the list` : t`Path to the rows`}
            value={format.path}
            hint={format.kind === "json" ? t`found out, or /results/boats` : t`found out, or regatta/boat`}
            onSave={(path) => setFormat({ ...format, path })}
          />
        )}
        {format.kind === "text" && (
          <Labelled id="feed-lines" label={t`Rows`}>
            <select
              id="feed-lines"
              value={format.rows}
              onChange={({ target }) =>
                setFormat(feedFormatSchema.parse({ kind: "text", rows: target.value }))
              }
              className={select}
            >
              <option value="lines">{t`each line is one`}</option>
              <option value="whole">{t`all of it is one`}</option>
            </select>
          </Labelled>
        )}
      </div>
      {source.kind === "address" && (
        <div className="flex flex-wrap items-end gap-3">
          <TypedBox
            id="feed-address"
            label={t`Address`}
            value={source.url}
            hint="http://…"
            onSave={(url) => onSave({ source: { ...source, url } })}
          />
          <div>
            <label htmlFor="feed-every" className="mb-1 block text-[14px] text-second">
              {t`Asked every`}
            </label>
            <span className="flex items-center gap-2">
              <SecondsBox
                id="feed-every"
                ms={source.everyMs}
                min={0.1}
                max={3_600}
                step={0.1}
                onSave={(ms) => onSave({ source: { ...source, everyMs: ms } })}
              />
              {t`s`}
            </span>
          </div>
        </div>
      )}
      {(format.kind === "csv" || format.kind === "xlsx") && (
        <CheckBox
          label={t`Its first row has the names of the columns`}
          isOn={format.firstRowNames}
          onChange={(firstRowNames) => setFormat({ ...format, firstRowNames })}
        />
      )}
    </section>
  );
}

/** A text that is saved when the box is left, or at Enter. */
function TypedBox({
  id,
  label,
  value,
  hint,
  onSave,
}: {
  id: string;
  label: string;
  value: string;
  hint: string;
  onSave: (value: string) => void;
}) {
  const [typed, setTyped] = useState(value);
  return (
    <Labelled id={id} label={label}>
      <input
        id={id}
        value={typed}
        placeholder={hint}
        maxLength={2_000}
        onChange={({ target }) => setTyped(target.value)}
        onBlur={() => typed.trim() !== value && onSave(typed.trim())}
        onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
        className={`${fieldClass} min-w-48 text-[15px]`}
      />
    </Labelled>
  );
}
