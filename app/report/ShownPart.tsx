import { useVirtualizer } from "@tanstack/react-virtual";
import { Download, MessageSquareText } from "lucide-react";
import { useDeferredValue, useMemo, useRef, useState } from "react";
import { t } from "../../core/language/t.ts";
import type { AsRunRow } from "../../core/report/asRunRow.ts";
import { captionsOf, subRip, webVtt } from "../../core/report/captions.ts";
import { shownCsv } from "../../core/report/csvOf.ts";
import { foldWords } from "../../core/words/foldWords.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { useLocale } from "../desk/useLocale.ts";
import { formatLength, formatTimeOfDay } from "../ui/format.ts";
import { boxClass } from "../ui/Labelled.tsx";
import { saveText } from "../ui/saveText.ts";
import { useKeys } from "../ui/useKeys.ts";
import { dayAndTime, fileDay } from "./dayAndTime.ts";
import { PastMoment } from "./PastMoment.tsx";
import type { PartProps } from "./partProps.ts";

const ROW_PX = 50;
export const smallButton =
  "flex min-h-9 items-center gap-1.5 rounded-md bg-lifted px-3 text-[14px] hover:bg-edge disabled:text-quiet disabled:hover:bg-lifted";

/** What was on every screen, a line for each step, with the screens as they were at it. */
export function ShownPart({ range, asked }: PartProps) {
  const { value: report, problem, isLoading, again } = asked;
  const locale = useLocale();
  const store = useDeskStore();
  const [typed, setTyped] = useState("");
  const words = useDeferredValue(typed);
  const [screen, setScreen] = useState("");
  const [layer, setLayer] = useState("");
  const [chosenKey, setChosenKey] = useState<string>();
  const { shown, notes } = report;
  const screens = useMemo(() => [...new Set(shown.flatMap((row) => row.screens))], [shown]);
  const layers = useMemo(() => [...new Set(shown.map((row) => row.layer))], [shown]);
  const noted = useMemo(() => new Set(notes.map(({ seq }) => seq)), [notes]);
  const rows = useMemo(() => {
    const wanted = foldWords(words).split(" ").filter(Boolean);
    const said = new Map(notes.map((note) => [note.seq, note.words]));
    return shown.filter((row) => {
      if (screen !== "" && !row.screens.includes(screen)) return false;
      if (layer !== "" && row.layer !== layer) return false;
      if (wanted.length === 0) return true;
      const all = foldWords([row.title, row.part, row.words, row.by, said.get(row.seq) ?? ""].join(" "));
      return wanted.every((word) => all.includes(word));
    });
  }, [shown, notes, words, screen, layer]);
  const at = Math.max(
    0,
    rows.findIndex(({ key }) => key === chosenKey),
  );
  const chosen = rows[at];
  const scroller = useRef<HTMLDivElement>(null);
  const virtualizer = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    getItemKey: (index) => rows[index]?.key ?? index,
    estimateSize: () => ROW_PX,
    overscan: 8,
    initialRect: { width: 760, height: 600 },
  });
  const go = (by: 1 | -1) => {
    const next = Math.max(0, Math.min(rows.length - 1, at + by));
    setChosenKey(rows[next]?.key);
    virtualizer.scrollToIndex(next);
  };
  useKeys({
    ArrowDown: { run: () => go(1) },
    ArrowUp: { run: () => go(-1) },
  });
  const timeOf = dayAndTime(locale);
  const name = t`shown ${fileDay(range.fromMs, locale)}`;
  const saveCaptions = (form: "vtt" | "srt") => {
    const captions = captionsOf(rows, range.fromMs, Math.min(range.untilMs, store.now()));
    saveText(
      `${name}.${form}`,
      form === "vtt" ? "text/vtt" : "text/plain",
      form === "vtt" ? webVtt(captions) : subRip(captions),
    );
  };
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1.7fr)_minmax(300px,1fr)] max-[1000px]:grid-cols-1 max-[1000px]:grid-rows-[minmax(0,1fr)_minmax(0,1fr)]">
      <section aria-label={t`What was on`} className="flex min-h-0 min-w-0 flex-col">
        <div className="flex shrink-0 flex-wrap items-center gap-2 px-5 py-2.5">
          <input
            type="search"
            aria-label={t`Find in the report`}
            placeholder={t`Find words, titles, people`}
            value={typed}
            onChange={({ target }) => setTyped(target.value)}
            className={`${boxClass} w-52 placeholder:text-quiet`}
          />
          <select
            aria-label={t`On which screen`}
            className={boxClass}
            value={screen}
            onChange={({ target }) => setScreen(target.value)}
          >
            <option value="">{t`all screens`}</option>
            {screens.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
          <select
            aria-label={t`On which layer`}
            className={boxClass}
            value={layer}
            onChange={({ target }) => setLayer(target.value)}
          >
            <option value="">{t`all layers`}</option>
            {layers.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
          <span className="ml-auto flex items-center gap-2">
            <span className="text-[14px] text-second tabular-nums">{t`${rows.length} lines`}</span>
            <button
              type="button"
              className={smallButton}
              disabled={rows.length === 0}
              onClick={() => saveText(`${name}.csv`, "text/csv", shownCsv(rows, notes, timeOf))}
            >
              <Download aria-hidden="true" className="size-4" /> {t`CSV`}
            </button>
            <button
              type="button"
              className={smallButton}
              disabled={rows.length === 0}
              onClick={() =>
                saveText(
                  `${name}.json`,
                  "application/json",
                  JSON.stringify({ version: 1, shown: rows, notes }, null, 1),
                )
              }
            >
              <Download aria-hidden="true" className="size-4" /> {t`JSON`}
            </button>
            {(["vtt", "srt"] as const).map((form) => (
              <button
                key={form}
                type="button"
                title={t`Subtitles of these lines, from the beginning of the run`}
                className={smallButton}
                disabled={!rows.some((row) => row.words !== "")}
                onClick={() => saveCaptions(form)}
              >
                <Download aria-hidden="true" className="size-4" /> {form === "vtt" ? "WebVTT" : "SRT"}
              </button>
            ))}
          </span>
        </div>
        {problem !== undefined && <p className="px-5 pb-2 text-[15px] text-attention">{problem}</p>}
        {rows.length === 0 && problem === undefined && (
          <p className="px-5 py-4 text-[16px] text-second">
            {isLoading ? t`Reading the log…` : t`Nothing of this was on a screen.`}
          </p>
        )}
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
        <div ref={scroller} tabIndex={0} className="min-h-0 flex-1 overflow-y-auto px-3 pb-3">
          <ol aria-label={t`Lines`} className="relative" style={{ height: virtualizer.getTotalSize() }}>
            {virtualizer.getVirtualItems().map(({ index, key, start }) => {
              const row = rows[index];
              return (
                row && (
                  <li
                    key={key}
                    className="absolute inset-x-0"
                    style={{ transform: `translateY(${start}px)`, height: ROW_PX }}
                  >
                    <Line
                      row={row}
                      isChosen={row === chosen}
                      isNoted={noted.has(row.seq)}
                      time={formatTimeOfDay(row.fromMs, locale)}
                      onChoose={() => setChosenKey(row.key)}
                    />
                  </li>
                )
              );
            })}
          </ol>
        </div>
      </section>
      {chosen && (
        <PastMoment
          key={chosen.key}
          row={chosen}
          notes={notes.filter(({ seq }) => seq === chosen.seq)}
          onNoted={again}
        />
      )}
    </div>
  );
}

function Line({
  row,
  isChosen,
  isNoted,
  time,
  onChoose,
}: {
  row: AsRunRow;
  isChosen: boolean;
  isNoted: boolean;
  time: string;
  onChoose: () => void;
}) {
  const { title, part, words, screens, layer, untilMs, fromMs, by, began } = row;
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={onChoose}
      className={`grid h-[46px] w-full grid-cols-[auto_56px_minmax(0,1fr)_minmax(0,0.55fr)] items-center gap-3 rounded-md border-2 px-2.5 text-left ${isChosen ? "border-act bg-act-ground" : "border-transparent hover:bg-lifted"}`}
    >
      <span className="font-mono text-[14px] tabular-nums">{time}</span>
      <span className="text-right font-mono text-[14px] text-second tabular-nums">
        {untilMs === null ? t`on` : formatLength(untilMs - fromMs)}
      </span>
      <span className="min-w-0">
        <span className="flex items-center gap-1.5">
          <span className="truncate text-[15px] font-semibold">
            {title}
            {part && <span className="font-normal text-second"> · {part}</span>}
          </span>
          {isNoted && (
            <MessageSquareText aria-label={t`has a note`} className="size-4 shrink-0 text-attention" />
          )}
        </span>
        <span className="block truncate font-words text-[14px] text-second">{words}</span>
      </span>
      <span className="min-w-0 text-[14px]">
        <span className="block truncate">{screens.join(", ")}</span>
        <span className="block truncate text-second">
          {layer} · {by}, {began}
        </span>
      </span>
    </button>
  );
}
