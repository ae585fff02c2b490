import { useState } from "react";
import { useDesk, useDeskStore, useServerTime } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useEventTiming } from "../desk/useEventTiming.ts";
import { cueTitle } from "../ui/cueWords.ts";
import { formatLength, formatTimeOfDay } from "../ui/format.ts";
import { postJson } from "../ui/postJson.ts";
import { StoryLines } from "./StoryLines.tsx";
import { TimingChart } from "./TimingChart.tsx";

/** Every cue against its plan: when it was to begin, how long it was to take, how long it took. */
export function TimingView() {
  const desk = useDesk();
  const store = useDeskStore();
  const nowMs = useServerTime(1_000);
  const timing = useEventTiming(desk, nowMs);
  const { startsAt } = desk.evening;
  const [isLog, setLog] = useState(false);
  const cues = desk.cues.filter(({ view }) => !("silent" in view.compiled));
  const saveStart = async (value: string) => {
    const { id: eveningId, name, day } = desk.evening;
    const answer = await postJson<{ sentence?: string }>("/evenings-edit", {
      kind: "change",
      eveningId,
      fields: { name, day, startsAt: value },
    });
    if (!answer || answer.sentence !== undefined)
      store.say("trouble", answer?.sentence ?? "The server cannot be reached. The start is as it was.");
  };
  const rows = cues.map(({ view, ready, index }, at) => ({
    index,
    view,
    title: cueTitle(view.doc, ready?.content),
    timing: timing?.cues[at],
  }));
  const isPlanned = cues.some(({ view }) => view.doc.plannedMs !== null);
  return (
    <main aria-label="Timing" className="relative flex min-h-0 flex-1 flex-col">
      <div className="flex shrink-0 items-center gap-8 border-b border-edge bg-raised px-6 py-3 text-[16px]">
        <label className="flex items-center gap-2.5">
          The evening begins at
          <input
            key={startsAt}
            type="time"
            defaultValue={startsAt}
            onBlur={({ target }) => target.value !== startsAt && void saveStart(target.value)}
            onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
            className="min-h-10 rounded-md border border-edge-strong bg-ground px-3 font-mono text-[18px]"
          />
        </label>
        {timing?.plannedEndMs != null && (
          <p className="text-second">
            planned end{" "}
            <strong className="font-mono text-[18px] text-paper">
              {formatTimeOfDay(timing.plannedEndMs).slice(0, 5)}
            </strong>
          </p>
        )}
        {timing?.projectedEndMs != null && (
          <p className="text-second">
            as it stands{" "}
            <strong className="font-mono text-[18px] text-paper">
              {formatTimeOfDay(timing.projectedEndMs).slice(0, 5)}
            </strong>
            , <span className="font-mono">{formatLength(timing.leftMs)}</span> to come
          </p>
        )}
        <button
          type="button"
          aria-pressed={isLog}
          onClick={() => setLog(!isLog)}
          className="ml-auto min-h-10 rounded-md bg-lifted px-4 text-[15px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act"
        >
          What was done
        </button>
        <button
          type="button"
          title="Times are counted from the next take, and the script stands at its start. What is on air stays."
          disabled={Object.keys(desk.state.cueTimes).length === 0}
          onClick={() => store.press({ kind: "beginAnew" })}
          className="min-h-10 rounded-md bg-lifted px-4 text-[15px] hover:bg-edge disabled:text-quiet disabled:hover:bg-lifted"
        >
          Begin anew
        </button>
      </div>
      {isLog ? (
        <StoryLines desk={desk} />
      ) : !isPlanned ? (
        <p className="p-8 text-[16px] text-second">
          No cue has a planned length yet. Give some in Prepare, under “By itself, timing and notes”.
        </p>
      ) : (
        <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
          {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
          <div tabIndex={0} className="min-h-0 overflow-y-auto px-6 py-4">
            <table className="w-full text-[15px] tabular-nums">
              <thead className="text-left text-[14px] text-second">
                <tr>
                  <th className="py-1 font-normal">Cue</th>
                  <th className="font-normal">begins</th>
                  <th className="text-right font-normal">planned</th>
                  <th className="text-right font-normal">took</th>
                  <th className="text-right font-normal">over, under</th>
                </tr>
              </thead>
              <tbody>
                {rows.map(({ view, title, index, timing: own }) => (
                  <tr
                    key={view.cueId}
                    className={`border-t border-edge ${timing?.present?.cueId === view.cueId ? "bg-air-ground" : ""}`}
                  >
                    <td className="max-w-56 truncate py-1.5">
                      {index + 1} · {title}
                    </td>
                    <td className="font-mono">
                      {own?.plannedAtMs != null ? formatTimeOfDay(own.plannedAtMs).slice(0, 5) : ""}
                    </td>
                    <td className="text-right font-mono">
                      {view.doc.plannedMs === null ? "" : formatLength(view.doc.plannedMs)}
                    </td>
                    <td className="text-right font-mono">
                      {own?.tookMs == null ? "" : formatLength(own.tookMs)}
                    </td>
                    <td
                      className={`text-right font-mono ${(own?.overMs ?? 0) > 0 ? "text-attention" : "text-second"}`}
                    >
                      {own?.overMs == null
                        ? ""
                        : `${own.overMs > 0 ? "+" : "−"}${formatLength(Math.abs(own.overMs))}`}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <div className="min-h-0 border-l border-edge p-4">
            <TimingChart
              rows={rows
                .filter(({ view, timing: own }) => view.doc.plannedMs !== null || own?.tookMs != null)
                .map(({ title, index, view, timing: own }) => ({
                  name: `${index + 1} · ${title}`,
                  plannedS: (view.doc.plannedMs ?? 0) / 1_000,
                  tookS: (own?.tookMs ?? 0) / 1_000,
                }))}
            />
          </div>
        </div>
      )}
      <NoticeBar />
    </main>
  );
}
