import { useMemo, useRef } from "react";
import { useSearchParams } from "react-router";
import { t } from "../../core/language/t.ts";
import { rangeOfDays } from "../../core/report/days.ts";
import type { Range } from "../../core/report/report.ts";
import type { Run } from "../../core/report/runs.ts";
import { useDesk, useServerTime } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useLocale } from "../desk/useLocale.ts";
import { formatDate, formatMinute, type Locale } from "../ui/format.ts";
import { boxClass } from "../ui/Labelled.tsx";
import { ChartsPart } from "./ChartsPart.tsx";
import { CuesPart } from "./CuesPart.tsx";
import { fileDay } from "./dayAndTime.ts";
import { EveningPart } from "./EveningPart.tsx";
import { ShownPart } from "./ShownPart.tsx";
import { SongsPart } from "./SongsPart.tsx";
import { useReport } from "./useReport.ts";

const PARTS = {
  shown: { name: t`What was on`, Part: ShownPart },
  cues: { name: t`Cues`, Part: CuesPart },
  songs: { name: t`Songs`, Part: SongsPart },
  charts: { name: t`Charts`, Part: ChartsPart },
  evening: { name: t`On one page`, Part: EveningPart },
} as const;
type PartName = keyof typeof PARTS;
const PART_NAMES = Object.keys(PARTS) as readonly PartName[];

/** A page begins a little after its take. */
const LEAD_MS = 1_000;
const NOW_EVERY_MS = 60_000;

/** What was shown: on which screen, from when to when, by whom, against the plan. */
export function ReportView({ runs }: { runs: readonly Run[] }) {
  const [parameters, setParameters] = useSearchParams();
  const locale = useLocale();
  const { channel } = useDesk("channel");
  // A report is of the moment at which it was opened: it does not read the log again and again.
  const nowMs = useServerTime(NOW_EVERY_MS);
  const openedMs = useRef<number>(undefined);
  openedMs.current ??= nowMs ?? undefined;
  const openedAtMs = openedMs.current ?? 0;
  const at = Math.max(
    0,
    runs.findIndex(({ fromMs }) => String(fromMs) === parameters.get("run")),
  );
  const part = PART_NAMES.find((name) => name === parameters.get("part")) ?? "shown";
  const asked = parameters.get("run");
  const isAll = asked === "all";
  const isDays = asked === "days";
  const today = openedAtMs > 0 ? fileDay(openedAtMs, locale) : "";
  const days = {
    from: parameters.get("from") ?? today.replace(/-.*/, "-01-01"),
    until: parameters.get("until") ?? today,
  };
  const { timeZone } = locale;
  const range = useMemo((): Range | undefined => {
    if (isDays) return rangeOfDays(days.from, days.until, timeZone);
    const [latest, oldest] = [runs[0], runs.at(-1)];
    const run = runs[at];
    if (!run || !latest || !oldest) return undefined;
    // The latest may go on.
    const untilMs = (each: Run) => Math.max(each.untilMs + LEAD_MS, each === latest ? openedAtMs : 0);
    if (isAll) return { fromMs: oldest.fromMs, untilMs: untilMs(latest) };
    return { fromMs: run.fromMs, untilMs: untilMs(run) };
  }, [runs, at, isAll, isDays, days.from, days.until, timeZone, openedAtMs]);
  const reachesBack = runs.at(-1);
  const set = (changes: Readonly<Record<string, string>>) =>
    setParameters(
      (before) => {
        const next = new URLSearchParams(before);
        for (const [name, value] of Object.entries(changes)) next.set(name, value);
        return next;
      },
      { replace: true },
    );
  return (
    <main aria-label={t`Report`} className="relative flex min-h-0 flex-1 flex-col">
      <div className="flex shrink-0 flex-wrap items-center gap-x-5 gap-y-2 border-b border-edge bg-raised px-5 py-2.5 print:hidden">
        <label className="flex min-w-0 items-center gap-2.5 text-[15px]">
          <span className="text-second">{t`Report of`}</span>
          <select
            className={boxClass}
            value={isAll || isDays ? asked : String(runs[at]?.fromMs ?? "")}
            onChange={({ target }) => set({ run: target.value })}
          >
            {runs.map((run) => (
              <option key={run.fromMs} value={String(run.fromMs)}>
                {nameOf(run, locale)}
              </option>
            ))}
            {runs.length > 1 && <option value="all">{t`all of them together`}</option>}
            {runs.length === 0 && <option value="">{t`nothing yet`}</option>}
            <option value="days">{t`days, from and until`}</option>
          </select>
        </label>
        {isDays && (
          <span className="flex items-center gap-2 text-[15px]">
            <DayField label={t`From`} value={days.from} onChange={(from) => set({ from })} />
            <span className="text-second">{t`until`}</span>
            <DayField label={t`Until`} value={days.until} onChange={(until) => set({ until })} />
          </span>
        )}
        <div role="toolbar" aria-label={t`Parts of the report`} className="flex flex-wrap gap-1.5">
          {PART_NAMES.map((name) => (
            <button
              key={name}
              type="button"
              aria-pressed={part === name}
              onClick={() => set({ part: name })}
              className="min-h-9 rounded-md bg-lifted px-3.5 text-[15px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act"
            >
              {PARTS[name].name}
            </button>
          ))}
        </div>
        {isDays && part !== "songs" && range && reachesBack && range.fromMs < reachesBack.fromMs && (
          <p className="text-[14px] text-second">
            {t`The log reaches back to ${formatDate(reachesBack.fromMs, locale)}; before that, only songs may be known.`}
          </p>
        )}
        {channel === "rehearsal" && (
          <p className="text-[14px] text-attention">{t`What is only rehearsed is in no report.`}</p>
        )}
      </div>
      {range ? (
        <Whole key={range.fromMs} part={part} range={range} />
      ) : isDays ? (
        <p className="p-8 text-[16px] text-second">
          {today !== "" && t`The first day may not come after the last. Choose them again.`}
        </p>
      ) : (
        <p className="p-8 text-[16px] text-second">
          {t`Nothing has been on the air yet. From the first take on, this says what was on every screen, from when to when.`}
        </p>
      )}
      <NoticeBar />
    </main>
  );
}

function DayField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (day: string) => void;
}) {
  return (
    <input
      type="date"
      aria-label={label}
      className={boxClass}
      value={value}
      onChange={({ target }) => onChange(target.value)}
    />
  );
}

/** The report is read once for all of its parts. */
function Whole({ part, range }: { part: PartName; range: Range }) {
  const asked = useReport(range);
  const { Part } = PARTS[part];
  return <Part range={range} asked={asked} />;
}

const nameOf = ({ fromMs, untilMs, takes }: Run, locale: Locale): string =>
  t`${formatDate(fromMs, locale)} to ${formatMinute(untilMs, locale)}, ${takes} ${takes === 1 ? t`take` : t`takes`}`;
