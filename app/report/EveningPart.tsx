import { Download, Printer } from "lucide-react";
import { useMemo } from "react";
import { t } from "../../core/language/t.ts";
import { type Summary, summaryOf, type Trouble } from "../../core/report/summary.ts";
import { useLocale } from "../desk/useLocale.ts";
import { formatDate, formatLength, formatOver, formatTimeOfDay, type Locale } from "../ui/format.ts";
import { saveText } from "../ui/saveText.ts";
import { fileDay } from "./dayAndTime.ts";
import type { PartProps } from "./partProps.ts";
import { smallButton } from "./ShownPart.tsx";

/** What happened, on one page: to keep, to print or to send. */
export function EveningPart({ range, asked }: PartProps) {
  const { value: report, problem, isLoading } = asked;
  const locale = useLocale();
  const summary = useMemo(() => summaryOf(report, range), [report, range]);
  if (isLoading || problem !== undefined)
    return <p className="px-5 py-4 text-[16px] text-second">{problem ?? t`Reading the log…`}</p>;
  return (
    <section
      aria-label={t`The evening`}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
      tabIndex={0}
      className="min-h-0 flex-1 overflow-y-auto px-5 py-4 print:overflow-visible print:p-0"
    >
      <div className="mx-auto max-w-3xl">
        <div className="flex items-center gap-3 print:hidden">
          <span className="flex-1" />
          <button type="button" className={smallButton} onClick={() => window.print()}>
            <Printer aria-hidden="true" className="size-4" /> {t`Print`}
          </button>
          <button
            type="button"
            className={smallButton}
            onClick={() =>
              saveText(
                t`evening ${fileDay(range.fromMs, locale)}.json`,
                "application/json",
                JSON.stringify({ version: 1, name: report.evening, ...summary }, null, 1),
              )
            }
          >
            <Download aria-hidden="true" className="size-4" /> {t`JSON`}
          </button>
        </div>
        <h2 className="text-[22px] font-semibold">{report.evening ?? t`An evening`}</h2>
        <p className="mb-4 text-second">{formatDate(range.fromMs, locale)}</p>
        <Figures summary={summary} locale={locale} />
        {summary.hasTroubles ? (
          <Troubles summary={summary} locale={locale} />
        ) : (
          <p className="mt-6 text-[15px] text-second">
            {t`What went wrong was not written down yet at that time.`}
          </p>
        )}
      </div>
    </section>
  );
}

function Figures({ summary, locale }: { summary: Summary; locale: Locale }) {
  const { beganMs, endedMs, isOn, beganLateMs, overMs, cues, pages, pagesByItself, hands } = summary;
  const time = (atMs: number | null) => (atMs === null ? t`not at all` : formatTimeOfDay(atMs, locale));
  const late = (ms: number) =>
    Math.abs(ms) < 1_000 ? t`on time` : `${formatLength(Math.abs(ms))} ${ms > 0 ? t`late` : t`early`}`;
  return (
    <dl className="grid grid-cols-[repeat(auto-fit,minmax(200px,1fr))] gap-x-6 gap-y-4">
      <Figure name={t`Began`} value={time(beganMs)} more={beganLateMs === null ? "" : late(beganLateMs)} />
      <Figure
        name={t`Ended`}
        value={isOn ? t`is on still` : time(endedMs)}
        more={beganMs !== null && endedMs !== null ? t`after ${formatLength(endedMs - beganMs)}` : ""}
      />
      <Figure
        name={t`Over, under`}
        value={overMs === null ? t`nothing planned` : formatOver(overMs)}
        more={overMs === null ? t`no cue had a length` : t`all planned cues together`}
      />
      <Figure name={t`Cues gone through`} value={String(cues)} more="" />
      <Figure name={t`Pages`} value={String(pages)} more={t`${pagesByItself} of them by themselves`} />
      <Figure
        name={t`By hand`}
        value={hands.map(([name, count]) => `${name} ${count}`).join(", ") || "none"}
        more=""
      />
    </dl>
  );
}

const Figure = ({ name, value, more }: { name: string; value: string; more: string }) => (
  <div>
    <dt className="text-[14px] text-second">{name}</dt>
    <dd className="text-[20px] font-semibold tabular-nums">{value}</dd>
    {more && <dd className="text-[14px] text-second">{more}</dd>}
  </div>
);

const NAMES = {
  late: t`Screens that were late`,
  missed: t`Screens that missed frames`,
  refused: t`Presses that were refused`,
  feed: t`Feeds that broke`,
  stall: t`Times the server stood still`,
} as const;
const NONE = {
  late: t`No screen was late.`,
  missed: t`No frame was missed.`,
  refused: t`No press was refused.`,
  feed: t`No feed broke.`,
  stall: t`The server never stood still.`,
} as const;

const Troubles = ({ summary, locale }: { summary: Summary; locale: Locale }) =>
  (Object.keys(NAMES) as readonly (keyof typeof NAMES)[]).map((kind) => (
    <section key={kind} aria-label={NAMES[kind]} className="mt-6">
      <h3 className="mb-1 text-[16px] font-semibold">{NAMES[kind]}</h3>
      {summary.troubles[kind].length === 0 ? (
        <p className="text-[15px] text-second">{NONE[kind]}</p>
      ) : (
        <ul className="flex flex-col gap-1">
          {summary.troubles[kind].map((trouble) => (
            <Line key={trouble.words} trouble={trouble} locale={locale} />
          ))}
        </ul>
      )}
    </section>
  ));

const Line = ({ trouble: { words, times, lastMs }, locale }: { trouble: Trouble; locale: Locale }) => (
  <li className="flex gap-3 border-t border-edge pt-1 text-[15px]">
    <span className="min-w-0 flex-1">{words}</span>
    <span className="shrink-0 text-second">
      {times > 1 ? t`${times} times, last ` : ""}
      {formatTimeOfDay(lastMs, locale)}
    </span>
  </li>
);
