import { lazy, type ReactNode, Suspense, useCallback, useMemo, useState } from "react";
import { t } from "../../core/language/t.ts";
import type { Beside } from "../../core/report/beside.ts";
import { onAirBy } from "../../core/report/onAirBy.ts";
import { paceOf } from "../../core/report/pace.ts";
import type { Range } from "../../core/report/report.ts";
import { useDesk } from "../desk/deskContext.ts";
import { useLocale } from "../desk/useLocale.ts";
import { formatLength, formatMinute, formatTimeOfDay, type Locale } from "../ui/format.ts";
import { CueTable } from "./CuesPart.tsx";
import type { PartProps } from "./partProps.ts";

// The chart's package is large: it is read when a chart is wanted.
const AirChart = lazy(() => import("./AirChart.tsx").then((file) => ({ default: file.AirChart })));
const PaceChart = lazy(() => import("./PaceChart.tsx").then((file) => ({ default: file.PaceChart })));
const BesideChart = lazy(() => import("./BesideChart.tsx").then((file) => ({ default: file.BesideChart })));
const OverChart = lazy(() => import("./OverChart.tsx").then((file) => ({ default: file.OverChart })));

const MINUTE_MS = 60_000;
/** An evening has about so many stretches. */
const STRETCHES = 40;
const ROW_PX = 34;

/** The evening in pictures, each with its figures in a table beside. */
export function ChartsPart({ range, asked }: PartProps) {
  const { value: report, problem, isLoading } = asked;
  const locale = useLocale();
  const [by, setBy] = useState<"layer" | "cue">("layer");
  const { shown, cues, beside, hasBeside } = report;
  const everyMs = Math.max(1, Math.ceil((range.untilMs - range.fromMs) / STRETCHES / MINUTE_MS)) * MINUTE_MS;
  const paces = useMemo(() => paceOf(shown, range.fromMs, range.untilMs, everyMs), [shown, range, everyMs]);
  const planned = useMemo(() => cues.filter(({ overMs }) => overMs !== null), [cues]);
  const times = useMemo(() => {
    return onAirBy(shown, by === "layer" ? ({ layer }) => layer : ({ title }) => title, range);
  }, [shown, by, range]);
  if (shown.length === 0)
    return (
      <p className="px-5 py-4 text-[16px] text-second">
        {problem ?? (isLoading ? t`Reading the log…` : t`Nothing was on a screen.`)}
      </p>
    );
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
    <section aria-label={t`Charts`} tabIndex={0} className="min-h-0 flex-1 overflow-y-auto px-5 py-4">
      <Suspense>
        <Figure
          title={t`On air`}
          heightPx={Math.max(220, times.length * ROW_PX + 70)}
          aside={
            <span role="toolbar" aria-label={t`On air by`} className="flex gap-1.5">
              {(["layer", "cue"] as const).map((each) => (
                <button
                  key={each}
                  type="button"
                  aria-pressed={by === each}
                  onClick={() => setBy(each)}
                  className="min-h-8 rounded-md bg-lifted px-3 text-[14px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act"
                >
                  {t`by ${each}`}
                </button>
              ))}
            </span>
          }
          chart={<AirChart rows={shown} range={range} by={by} locale={locale} />}
          table={
            <Table
              names={[by === "layer" ? t`Layer` : t`Cue`, t`on air`]}
              rows={times.map(([name, ms]) => [name, formatLength(ms)])}
            />
          }
        />
        {planned.length > 0 ? (
          <Figure
            title={t`Over and under`}
            heightPx={Math.max(110, planned.length * ROW_PX + 40)}
            chart={<OverChart rows={planned} />}
            table={<CueTable rows={planned} locale={locale} isNarrow />}
          />
        ) : (
          <Figure
            title={t`Over and under`}
            heightPx={0}
            chart={null}
            table={
              <p className="text-[15px] text-second">
                {t`No cue had a planned length. Give some in Prepare, under “By itself, timing and notes”.`}
              </p>
            }
          />
        )}
        <BesideFigure kind="late" {...{ beside, hasBeside, range, locale }} />
        <BesideFigure kind="missed" {...{ beside, hasBeside, range, locale }} />
        <BesideFigure kind="value" {...{ beside, hasBeside, range, locale }} />
        <Figure
          title={t`Pages in ${everyMs === MINUTE_MS ? t`each minute` : t`each ${everyMs / MINUTE_MS} minutes`}`}
          heightPx={220}
          chart={<PaceChart paces={paces} locale={locale} />}
          table={<PaceTable paces={paces} locale={locale} />}
        />
      </Suspense>
    </section>
  );
}

const seconds = (ms: number): string => `${(ms / 1_000).toFixed(1)} s`;
const plain = (amount: number): string => String(amount);
const BESIDE = {
  late: {
    title: t`Late screens`,
    none: t`No screen was late.`,
    amount: t`not heard for`,
    isStepped: false,
    unit: seconds,
  },
  missed: {
    title: t`Missed frames`,
    none: t`No screen missed a frame.`,
    amount: t`frames in a minute`,
    isStepped: false,
    unit: plain,
  },
  value: {
    title: t`Values of feeds`,
    none: t`No number came from a feed.`,
    amount: "value",
    isStepped: true,
    unit: plain,
  },
} as const;

/** What was written down beside the log, over time. */
function BesideFigure({
  kind,
  beside,
  hasBeside,
  range,
  locale,
}: {
  kind: keyof typeof BESIDE;
  beside: readonly Beside[];
  hasBeside: boolean;
  range: Range;
  locale: Locale;
}) {
  const { outputs } = useDesk("outputs");
  const { title, none, amount, isStepped, unit } = BESIDE[kind];
  const rows = useMemo(() => beside.filter((each) => each.kind === kind), [beside, kind]);
  const nameOf = useCallback(
    (about: string) => outputs.find(({ id }) => id === about)?.name ?? about,
    [outputs],
  );
  if (rows.length === 0)
    return (
      <Figure
        title={title}
        heightPx={0}
        chart={null}
        table={
          <p className="text-[15px] text-second">
            {hasBeside ? none : t`It was not written down yet at that time.`}
          </p>
        }
      />
    );
  return (
    <Figure
      title={title}
      heightPx={220}
      chart={
        <BesideChart label={t`${title} over time`} {...{ rows, nameOf, range, unit, isStepped, locale }} />
      }
      table={
        <Table
          names={[t`Time`, "", amount]}
          rows={rows.map(({ atMs, about, amount: much }) => [
            formatTimeOfDay(atMs, locale),
            nameOf(about),
            much === null ? "" : unit(much),
          ])}
        />
      }
    />
  );
}

function Figure({
  title,
  heightPx,
  aside = null,
  chart,
  table,
}: {
  title: string;
  heightPx: number;
  aside?: ReactNode;
  chart: ReactNode;
  table: ReactNode;
}) {
  return (
    <section aria-label={title} className="mb-8">
      <div className="mb-2 flex items-center gap-4">
        <h2 className="text-[17px] font-semibold">{title}</h2>
        {aside}
      </div>
      <div className="grid grid-cols-[minmax(0,2fr)_minmax(260px,1fr)] gap-6 max-[1000px]:grid-cols-1">
        {heightPx > 0 && <div style={{ height: heightPx }}>{chart}</div>}
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
        <div tabIndex={0} className="overflow-auto" style={heightPx > 0 ? { maxHeight: heightPx } : {}}>
          {table}
        </div>
      </div>
    </section>
  );
}

function Table({ names, rows }: { names: readonly string[]; rows: readonly (readonly string[])[] }) {
  return (
    <table className="w-full text-[15px] tabular-nums">
      <thead className="text-left text-[14px] text-second">
        <tr>
          {names.map((name, at) => (
            <th key={name} className={`py-1 font-normal ${at > 0 ? "pl-4 text-right" : ""}`}>
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.join()} className="border-t border-edge">
            {row.map((cell, at) => (
              <td key={names[at]} className={at > 0 ? "pl-4 text-right font-mono" : "py-1"}>
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const PaceTable = ({ paces, locale }: { paces: ReturnType<typeof paceOf>; locale: Locale }) => (
  <Table
    names={[t`From`, "pages", t`by itself`]}
    rows={paces
      .filter(({ takes }) => takes > 0)
      .map(({ fromMs, takes, byItself }) => [formatMinute(fromMs, locale), String(takes), String(byItself)])}
  />
);
