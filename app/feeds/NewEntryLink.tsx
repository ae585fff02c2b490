import { useState } from "react";
import type { EntryLink } from "../../core/feeds/entryLink.ts";
import type { FeedView } from "../../core/feeds/feedView.ts";
import { t } from "../../core/language/t.ts";
import { newId } from "../api/newId.ts";
import { LinkEndChoice } from "../desk/LinkEnd.tsx";
import { useFeedRows } from "../desk/useFeedRows.ts";
import { CheckBox } from "../ui/CheckBox.tsx";
import { fieldClass } from "../ui/Labelled.tsx";

const MOST_ROWS = 200;

/** What a new link may change: columns, rows by their names, and their order. */
export function NewEntryLink({
  feed,
  onMake,
}: {
  feed: FeedView;
  onMake: (link: EntryLink, id: string) => Promise<void>;
}) {
  const { keyColumn } = feed.doc;
  const offered = feed.columns.filter((column) => column !== keyColumn);
  const told = useFeedRows({ feedId: feed.id, most: MOST_ROWS, asRead: true });
  const key = told?.columns.indexOf(keyColumn) ?? -1;
  const names = told?.rows.map(({ cells }) => cells[key] ?? "").filter((name) => name !== "") ?? [];
  const [name, setName] = useState("");
  const [columns, setColumns] = useState<readonly string[]>(offered.slice(0, 1));
  const [rows, setRows] = useState<readonly string[] | null>(null);
  const [mayMove, setMayMove] = useState(false);
  const [untilMs, setUntilMs] = useState<number | null>(null);
  const chosen = offered.filter((column) => columns.includes(column));
  if (keyColumn === "")
    return (
      <p className="text-[15px] text-second">
        {t`Choose above which column names the rows: a link means rows by their names, wherever they are moved.`}
      </p>
    );
  const canMake = name.trim() !== "" && chosen.length > 0 && rows?.length !== 0;
  return (
    <form
      className="flex flex-col gap-3 rounded-lg border border-edge p-3 text-[15px]"
      onSubmit={(event) => {
        event.preventDefault();
        if (canMake)
          void onMake(
            {
              name: name.trim(),
              feedId: feed.id,
              columns: chosen,
              rows: rows && [...rows],
              mayMove,
              untilMs,
            },
            newId(),
          );
      }}
    >
      <label className="flex flex-col gap-1">
        <span className="text-second">{t`Who has it`}</span>
        <input
          value={name}
          maxLength={60}
          placeholder={t`e.g. scores at the door`}
          onChange={({ target }) => setName(target.value)}
          className={`${fieldClass} max-w-sm`}
        />
      </label>
      <fieldset className="flex flex-wrap gap-x-5 gap-y-1">
        <legend className="mb-1 text-second">{t`May change`}</legend>
        {offered.map((column) => (
          <CheckBox
            key={column}
            label={column}
            isOn={chosen.includes(column)}
            onChange={(isOn) =>
              setColumns(isOn ? [...chosen, column] : chosen.filter((each) => each !== column))
            }
          />
        ))}
      </fieldset>
      <fieldset className="flex flex-wrap gap-x-5 gap-y-1">
        <legend className="mb-1 text-second">{t`Of these rows`}</legend>
        <CheckBox
          label={t`all, also those to come`}
          isOn={rows === null}
          onChange={(isOn) => setRows(isOn ? null : names)}
        />
        {rows !== null &&
          names.map((each) => (
            <CheckBox
              key={each}
              label={each}
              isOn={rows.includes(each)}
              onChange={(isOn) => setRows(isOn ? [...rows, each] : rows.filter((other) => other !== each))}
            />
          ))}
      </fieldset>
      <CheckBox label={t`may move rows up and down`} isOn={mayMove} onChange={setMayMove} />
      <div className="max-w-sm">
        <LinkEndChoice id="entry-end" untilMs={untilMs} onChange={setUntilMs} />
      </div>
      <button
        type="submit"
        disabled={!canMake}
        className="min-h-10 w-fit rounded-md bg-act px-4 font-bold text-on-bright disabled:bg-lifted disabled:text-quiet"
      >
        {t`Make the link`}
      </button>
    </form>
  );
}
