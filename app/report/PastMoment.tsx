import { useEffect, useState } from "react";
import { t } from "../../core/language/t.ts";
import type { AsRunRow } from "../../core/report/asRunRow.ts";
import type { ReportNote } from "../../core/report/report.ts";
import type { ShowState } from "../../core/show/state.ts";
import { ask, call } from "../api/call.ts";
import { useDesk, useDeskStore, useDrawing } from "../desk/deskContext.ts";
import { useLocale } from "../desk/useLocale.ts";
import { OutputPicture } from "../pictures/OutputPicture.tsx";
import { formatDay, formatLength, formatTimeOfDay } from "../ui/format.ts";

/** By then what comes has come, unless it stays for less. */
const ARRIVED_MS = 1_500;

/** The screens as they were at a line of the report, and what people wrote beside it. */
export function PastMoment({
  row,
  notes,
  onNoted,
}: {
  row: AsRunRow;
  notes: readonly ReportNote[];
  onNoted: () => void;
}) {
  const store = useDeskStore();
  const drawing = useDrawing();
  const locale = useLocale();
  const { outputs } = useDesk("outputs");
  const [nowMs] = useState(() => store.now());
  const lastMs = (row.untilMs ?? nowMs) - 1;
  const firstMs = Math.min(row.fromMs, lastMs);
  const [atMs, setAtMs] = useState(() => Math.max(firstMs, Math.min(row.fromMs + ARRIVED_MS, lastMs)));
  const [past, setPast] = useState<{ readonly state: ShowState; readonly atMs: number }>();
  const [problem, setProblem] = useState("");
  useEffect(() => {
    const end = new AbortController();
    void ask("/past-state", `?at=${Math.round(atMs)}`, end.signal).then((answer) => {
      if (end.signal.aborted) return;
      if ("problem" in answer) return setProblem(answer.problem.sentence);
      store.learn(answer.value.documents);
      setProblem("");
      setPast({ state: answer.value.state, atMs });
    });
    return () => end.abort();
  }, [atMs, store]);
  const planned = past
    ? outputs.filter(({ id }) => (past.state.plan.outputs[id]?.layerIds.length ?? 0) > 0)
    : [];
  return (
    <aside
      aria-label={t`The screens then`}
      className="flex min-h-0 min-w-0 flex-col gap-3 overflow-y-auto border-l border-edge bg-raised p-5 max-[1000px]:border-t max-[1000px]:border-l-0"
    >
      <div>
        <h2 className="text-[17px] font-semibold">
          {row.title}
          {row.part && <span className="font-normal text-second"> · {row.part}</span>}
        </h2>
        <p className="text-[14px] text-second">
          {t`${formatDay(row.fromMs, locale)} · ${row.untilMs === null ? t`on still` : t`for ${formatLength(row.untilMs - row.fromMs)}`} · began by ${row.by} (${row.began})${row.ended && t`, ended: ${row.ended}${row.endedBy ? t` by ${row.endedBy}` : ""}`}`}
        </p>
      </div>
      <label className="flex items-center gap-3 text-[14px]">
        <span className="shrink-0">
          {t`At`} <span className="font-mono tabular-nums">{formatTimeOfDay(atMs, locale)}</span>
        </span>
        <input
          type="range"
          aria-label={t`Which moment of it`}
          min={firstMs}
          max={lastMs}
          step={40}
          value={atMs}
          onChange={({ target }) => setAtMs(Number(target.value))}
          className="min-w-0 flex-1 accent-act"
        />
      </label>
      {problem !== "" && <p className="text-[15px] text-attention">{problem}</p>}
      <div className="grid grid-cols-[repeat(auto-fill,minmax(180px,1fr))] gap-3">
        {past &&
          planned.map((output) => (
            <figure key={output.id} className={output.heightPx > output.widthPx ? "row-span-3" : ""}>
              <figcaption
                className={`mb-1 text-[14px] ${row.outputIds.includes(output.id) ? "font-semibold" : "text-second"}`}
              >
                {output.name}
              </figcaption>
              <div className="rounded-md border-2 border-edge p-0.5">
                <OutputPicture
                  output={output}
                  state={past.state}
                  drawing={drawing}
                  label={t`${output.name} at ${formatTimeOfDay(past.atMs, locale)}`}
                  isStill
                  atMs={past.atMs}
                />
              </div>
            </figure>
          ))}
      </div>
      <Notes seq={row.seq} notes={notes} onNoted={onNoted} />
    </aside>
  );
}

/** What people wrote beside it. The log itself is never changed. */
function Notes({ seq, notes, onNoted }: { seq: number; notes: readonly ReportNote[]; onNoted: () => void }) {
  const store = useDeskStore();
  const locale = useLocale();
  const [typed, setTyped] = useState("");
  const write = async () => {
    const answer = await call("/report-note", { seq, words: typed.trim() });
    if ("problem" in answer) return store.say("trouble", answer.problem.sentence);
    setTyped("");
    onNoted();
  };
  return (
    <section aria-label={t`Notes`} className="mt-1 border-t border-edge pt-3">
      <ul className="flex flex-col gap-1.5">
        {notes.map(({ atMs, by, words }) => (
          <li key={`${atMs} ${words}`} className="text-[15px]">
            {words}{" "}
            <span className="text-[14px] text-second">
              {by}, {formatDay(atMs, locale)}
            </span>
          </li>
        ))}
      </ul>
      <form
        className="mt-2 flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (typed.trim() !== "") void write();
        }}
      >
        <input
          aria-label={t`A note beside this line`}
          placeholder={t`A note: the log itself stays as it is`}
          maxLength={500}
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
          className="min-h-9 min-w-0 flex-1 rounded-md border border-edge-strong bg-ground px-2.5 text-[15px] placeholder:text-quiet"
        />
        <button
          type="submit"
          disabled={typed.trim() === ""}
          className="min-h-9 rounded-md bg-lifted px-3.5 text-[15px] hover:bg-edge disabled:text-quiet"
        >
          {t`Add`}
        </button>
      </form>
    </section>
  );
}
