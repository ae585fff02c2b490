import { lazy, Suspense, useState } from "react";
import { Link } from "react-router";
import { t } from "../../core/language/t.ts";
import type { PastLength } from "../../core/report/pastLengths.ts";
import type { CueTiming } from "../../core/rundown/timing.ts";
import { call } from "../api/call.ts";
import { useDesk, useDeskStore, useServerTime } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { sayWithUndo } from "../desk/sayWithUndo.ts";
import { TimeBox } from "../desk/TimeBox.tsx";
import { useEventTiming } from "../desk/useEventTiming.ts";
import { useLocale } from "../desk/useLocale.ts";
import { formatLength, formatMinute, formatOver } from "../ui/format.ts";
import { HoldButton } from "../ui/HoldButton.tsx";
import { StoryLines } from "./StoryLines.tsx";
import { usePastLengths } from "./usePastLengths.ts";

// The chart's package is large: it is read when a chart is wanted.
const TimingChart = lazy(() => import("./TimingChart.tsx").then((file) => ({ default: file.TimingChart })));

/** Every cue against its plan: when it was to begin, how long it was to take, how long it took. */
export function TimingView() {
  const desk = useDesk("evening", "cues", "state", "channel");
  const store = useDeskStore();
  const locale = useLocale();
  const nowMs = useServerTime(1_000);
  const timing = useEventTiming(desk, nowMs);
  const { startsAt, endsAt } = desk.evening;
  const [isLog, setLog] = useState(false);
  const minuteOf = (atMs: number | null | undefined) => (atMs == null ? "" : formatMinute(atMs, locale));
  const cues = desk.cues.filter(({ view }) => !("silent" in view.compiled));
  const saveTimes = async (times: { startsAt?: string; endsAt?: string }) => {
    const { id: eveningId, copiedCues: _, ...fields } = desk.evening;
    const answer = await call("/evenings-edit", {
      kind: "change",
      eveningId,
      fields: { ...fields, ...times },
    });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
  };
  const rows = cues.map(({ view, title, index }, at) => ({
    index,
    view,
    title,
    timing: timing?.cues[at],
  }));
  const isPlanned = cues.some(({ view }) => view.doc.plannedMs !== null);
  const { past, toggle, use } = usePastLengths();
  const unplanned = cues.flatMap(({ view }) =>
    view.doc.plannedMs === null && past?.has(view.cueId) ? [view.cueId] : [],
  );
  return (
    <main aria-label={t`Timing`} className="relative flex min-h-0 flex-1 flex-col">
      <div className="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2 border-b border-edge bg-raised px-6 py-3 text-[16px] whitespace-nowrap">
        <span className="flex items-center gap-2.5">
          {t`Begins at`}
          <TimeBox
            label={t`The evening begins at`}
            time={startsAt}
            onSave={(time) => void saveTimes({ startsAt: time })}
          />
          {t`ends at`}
          <TimeBox
            label={t`The evening ends at`}
            time={endsAt}
            onSave={(time) => void saveTimes({ endsAt: time })}
          />
        </span>
        {timing?.plannedEndMs != null && endsAt === "" && (
          <p className="text-second">
            {t`planned end`}{" "}
            <strong className="font-mono text-[18px] text-paper">{minuteOf(timing.plannedEndMs)}</strong>
          </p>
        )}
        {timing?.projectedEndMs != null && (
          <p className="text-second">
            {t`expected end`}{" "}
            <strong className="font-mono text-[18px] text-paper">{minuteOf(timing.projectedEndMs)}</strong>,{" "}
            <span className="font-mono">{formatLength(timing.leftMs)}</span> {t`to come`}
          </p>
        )}
        <span className="ml-auto flex flex-wrap items-center gap-2">
          <button
            type="button"
            aria-pressed={past !== undefined}
            onClick={() => void toggle()}
            className="min-h-10 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act"
          >
            {t`Earlier evenings`}
          </button>
          <Link
            to="/report"
            className="flex min-h-10 items-center rounded-md bg-lifted px-3 text-[15px] hover:bg-edge"
          >
            {t`Report`}
          </Link>
          <button
            type="button"
            aria-pressed={isLog}
            onClick={() => setLog(!isLog)}
            className=" min-h-10 rounded-md bg-lifted px-4 text-[15px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act"
          >
            {t`Log`}
          </button>
          <HoldButton
            title={t`Hold for half a second: times are counted from the next take, and the script stands at its start. What is on air stays.`}
            disabled={Object.keys(desk.state.cueTimes).length === 0}
            onHeld={() => {
              store.air.press({ kind: "beginAnew" });
              sayWithUndo(store, t`The evening starts over with the next take.`);
            }}
            className="min-h-10 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge disabled:text-quiet disabled:hover:bg-lifted"
          >
            <span>{t`Start over`}</span>
          </HoldButton>
        </span>
      </div>
      {isLog ? (
        <StoryLines desk={desk} />
      ) : !isPlanned && !past ? (
        <p className="p-8 text-[16px] text-second">
          {t`No cue has a planned length yet. Give some in Prepare, under “By itself, timing and notes”.`}
        </p>
      ) : (
        <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,3fr)_minmax(0,2fr)] max-[1100px]:grid-cols-1 max-[1100px]:grid-rows-[minmax(0,1fr)_minmax(0,38%)]">
          {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
          <div tabIndex={0} className="min-h-0 overflow-y-auto px-6 py-4">
            <table className="w-full text-[15px] tabular-nums">
              <thead className="text-left text-[14px] text-second">
                <tr>
                  <th className="py-1 font-normal">{t`Cue`}</th>
                  <th className="font-normal">{t`planned`}</th>
                  <th className="font-normal">{t`expected`}</th>
                  <th className="font-normal">{t`must begin by`}</th>
                  <th className="text-right font-normal">{t`length`}</th>
                  <th className="pl-4 text-right font-normal">{t`took`}</th>
                  <th className="pl-4 text-right font-normal">{t`over, under`}</th>
                  {past && (
                    <th className="pl-6 font-normal">
                      {t`before`}{" "}
                      {unplanned.length > 0 && (
                        <button
                          type="button"
                          onClick={() => void use(unplanned)}
                          className="ml-2 min-h-8 rounded-md bg-lifted px-2.5 text-paper hover:bg-edge"
                        >
                          {t`Use for ${unplanned.length} without a length`}
                        </button>
                      )}
                    </th>
                  )}
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
                    <td className="font-mono">{minuteOf(own?.plannedAtMs)}</td>
                    <td className={`font-mono ${isTooLate(own) ? "text-attention" : ""}`}>
                      {own?.startedAtMs != null
                        ? `✓ ${minuteOf(own.startedAtMs)}`
                        : minuteOf(own?.expectedAtMs)}
                    </td>
                    <td className="font-mono text-second">
                      {own?.startedAtMs == null ? minuteOf(own?.beginByMs) : ""}
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
                      {own?.overMs == null ? "" : formatOver(own.overMs)}
                    </td>
                    {past && (
                      <td className="pl-6 whitespace-nowrap">
                        <Before
                          past={past.get(view.cueId)}
                          name={title}
                          onUse={() => void use([view.cueId])}
                        />
                      </td>
                    )}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <div className="min-h-0 border-l border-edge p-4">
            <Suspense>
              <TimingChart
                rows={rows
                  .filter(({ view, timing: own }) => view.doc.plannedMs !== null || own?.tookMs != null)
                  .map(({ title, index, view, timing: own }) => ({
                    name: `${index + 1} · ${title}`,
                    plannedS: (view.doc.plannedMs ?? 0) / 1_000,
                    tookS: (own?.tookMs ?? 0) / 1_000,
                  }))}
              />
            </Suspense>
          </div>
        </div>
      )}
      <NoticeBar />
    </main>
  );
}

/** How long it took on earlier evenings: the middle of them, and from the shortest to the longest. */
function Before({ past, name, onUse }: { past: PastLength | undefined; name: string; onUse: () => void }) {
  if (!past) return null;
  const { medianMs, times, shortestMs, longestMs } = past;
  return (
    <span className="flex items-center gap-2">
      <span className="font-mono">{formatLength(medianMs)}</span>
      <span className="text-[14px] text-second">
        {times === 1 ? t`once` : t`${times} times, ${formatLength(shortestMs)} to ${formatLength(longestMs)}`}
      </span>
      <button
        type="button"
        aria-label={t`Plan “${name}” as before`}
        onClick={onUse}
        className="ml-auto min-h-8 rounded-md bg-lifted px-2.5 text-[14px] hover:bg-edge"
      >
        {t`Use`}
      </button>
    </span>
  );
}

/** As it stands, it begins after it must. */
const isTooLate = (timing: CueTiming | undefined) =>
  timing?.expectedAtMs != null && timing.beginByMs !== null && timing.expectedAtMs > timing.beginByMs;
