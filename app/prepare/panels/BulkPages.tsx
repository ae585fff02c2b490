import { type ReactNode, useMemo, useState } from "react";
import { languageCode, t } from "../../../core/language/t.ts";
import {
  bulkPages,
  guessMapping,
  MOST_BULK_PAGES,
  type PastedRows,
  readRows,
} from "../../../core/rundown/bulkPages.ts";
import type { CueDoc, PageDoc } from "../../../core/rundown/cueDoc.ts";
import { fieldKind } from "../../../core/scene/fieldKinds.ts";
import { isForPages } from "../../../core/scene/fieldSet.ts";
import { useDesk } from "../../desk/deskContext.ts";
import { fieldClass } from "../../ui/Labelled.tsx";

const SHOWN_ROWS = 6;

/** Lines or cells as pages: which kind, which column is which field, and how they will be, before any is added. */
export function BulkPages({
  pasted: given,
  scope = "",
  finish = (docs) => docs,
  tools,
  onAdd,
}: {
  /** Pasted text, or rows with the names of their columns. */
  pasted: string | PastedRows;
  /** What was chosen for the columns of one list is not meant for another's. */
  scope?: string;
  /** What else is done to the pages. @param mapping by column: its field */
  finish?: (docs: readonly PageDoc[], mapping: readonly (string | null)[]) => readonly PageDoc[];
  tools: ReactNode;
  onAdd: (docs: readonly CueDoc[]) => Promise<void>;
}) {
  const { fieldSets } = useDesk("fieldSets");
  const offered = [...fieldSets.values()].filter(
    (set) => isForPages(set) && set.fields.some(({ kind }) => fieldKind(kind).takesColumns),
  );
  const [fieldSetId, setFieldSetId] = useState("name");
  const [chosen, setChosen] = useState<Readonly<Record<string, string | null>>>({});
  const fieldSet = offered.find(({ id }) => id === fieldSetId) ?? offered[0];
  const pasted = useMemo(
    () =>
      typeof given === "string"
        ? readRows(given, fieldSet?.fields.flatMap(({ name, label }) => [name, label]) ?? [])
        : given,
    [given, fieldSet],
  );
  if (!fieldSet) return null;
  const guessed = guessMapping(pasted, fieldSet);
  const mapping = guessed.map((field, column) => {
    const own = chosen[`${scope}${fieldSet.id}/${column}`];
    return own === undefined ? field : own;
  });
  const { docs, tooLong } = bulkPages(pasted, fieldSet, mapping);
  const worst = tooLong[0];
  const swap = () => {
    const [first, second] = [0, 1].map((column) => mapping[column] ?? null);
    setChosen({
      ...chosen,
      [`${scope}${fieldSet.id}/0`]: second ?? null,
      [`${scope}${fieldSet.id}/1`]: first ?? null,
    });
  };
  const first = fieldSet.fields[0];
  const empty = first && !first.optional ? docs.filter(({ values }) => !values[first.name]).length : 0;
  return (
    <section
      aria-label={t`One page for each line`}
      className="mt-2 rounded-lg border border-edge bg-ground p-3"
    >
      <div className="flex flex-wrap items-center gap-3 text-[15px]">
        <label className="flex items-center gap-2">
          {t`One page each:`}
          <select
            value={fieldSet.id}
            onChange={(event) => setFieldSetId(event.target.value)}
            className={`${fieldClass} w-auto! text-[15px]`}
          >
            {offered.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        {pasted.columns > 1 && (
          <button type="button" onClick={swap} className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge">
            {t`Swap the columns`}
          </button>
        )}
        {tools}
        <button
          type="button"
          data-add-rows
          onClick={() => void onAdd(finish(docs, mapping))}
          disabled={docs.length === 0}
          className="ml-auto min-h-10 rounded-lg bg-act px-4 font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:text-quiet"
        >
          {t`Add ${docs.length} ${docs.length === 1 ? t`page` : t`pages`}`} <kbd>Alt+Enter</kbd>
        </button>
      </div>
      <div className="mt-3 max-h-72 overflow-auto">
        <table className="w-full text-left text-[15px]">
          <thead>
            <tr>
              {mapping.map((field, column) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: a column is its place
                <th key={column} className="pr-3 pb-2 font-normal">
                  {typeof given !== "string" && (
                    <span className="block truncate pb-1 text-[14px] text-second">
                      {pasted.heading?.[column]}
                    </span>
                  )}
                  <select
                    aria-label={t`Column ${column + 1} is`}
                    value={field ?? ""}
                    onChange={(event) =>
                      setChosen({
                        ...chosen,
                        [`${scope}${fieldSet.id}/${column}`]:
                          event.target.value === "" ? null : event.target.value,
                      })
                    }
                    className={`${fieldClass} text-[14px]`}
                  >
                    <option value="">{t`left out`}</option>
                    {fieldSet.fields
                      .filter(({ kind }) => fieldKind(kind).takesColumns)
                      .map(({ name, label }) => (
                        <option key={name} value={name}>
                          {label}
                        </option>
                      ))}
                  </select>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {pasted.rows.slice(0, SHOWN_ROWS).map((row, at) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a row is its place
              <tr key={at} className="border-t border-edge">
                {mapping.map((field, column) => (
                  <td
                    // biome-ignore lint/suspicious/noArrayIndexKey: a column is its place
                    key={column}
                    className={`py-1.5 pr-3 align-top ${field === null ? "text-quiet line-through" : "font-words text-[17px]"}`}
                  >
                    {row[column] ?? ""}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2 text-[14px] text-second">
        {docs.length > SHOWN_ROWS && t`and ${docs.length - SHOWN_ROWS} more. `}
        {typeof given === "string" && pasted.heading && t`The first line names the columns and is no page. `}
        {pasted.rows.length > docs.length && (
          <span className="text-attention">
            {t`${pasted.rows.length - docs.length} more are left: at most ${MOST_BULK_PAGES.toLocaleString(languageCode())} are added at once.`}{" "}
          </span>
        )}
        {worst && (
          <span className="text-attention">
            {t`${tooLong.length === 1 ? t`One text is` : t`${tooLong.length} texts are`} longer than the page takes and will be cut: line ${worst.row + 1} has ${worst.letters} characters, at most ${worst.most} are taken.`}{" "}
          </span>
        )}
        {empty > 0 && (
          <span className="text-attention">
            {t`${empty} ${empty === 1 ? t`has` : t`have`} no`} {first?.label.toLowerCase()}{" "}
            {t`and cannot be taken until filled.`}
          </span>
        )}
      </p>
    </section>
  );
}
