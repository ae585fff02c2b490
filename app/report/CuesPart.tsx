import { Download } from "lucide-react";
import { t } from "../../core/language/t.ts";
import type { CueRow } from "../../core/report/asRunRow.ts";
import { cuesCsv } from "../../core/report/csvOf.ts";
import { useLocale } from "../desk/useLocale.ts";
import { formatLength, formatOver, formatTimeOfDay, type Locale } from "../ui/format.ts";
import { saveText } from "../ui/saveText.ts";
import { dayAndTime, fileDay } from "./dayAndTime.ts";
import type { PartProps } from "./partProps.ts";
import { smallButton } from "./ShownPart.tsx";

/** Every cue of the script as it was come to: planned, and as it was. */
export function CuesPart({ range, asked }: PartProps) {
  const { value, problem, isLoading } = asked;
  const locale = useLocale();
  const { cues } = value;
  return (
    <section aria-label={t`Cues`} className="flex min-h-0 flex-1 flex-col">
      <div className="flex shrink-0 items-center gap-3 px-5 py-2.5">
        <p className="text-[15px] text-second">
          {t`What was planned is what the plan said when the cue was taken, whatever it says since.`}
        </p>
        <button
          type="button"
          className={`${smallButton} ml-auto`}
          disabled={cues.length === 0}
          onClick={() =>
            saveText(
              t`cues ${fileDay(range.fromMs, locale)}.csv`,
              "text/csv",
              cuesCsv(cues, dayAndTime(locale)),
            )
          }
        >
          <Download aria-hidden="true" className="size-4" /> {t`CSV`}
        </button>
      </div>
      {problem !== undefined && <p className="px-5 pb-2 text-[15px] text-attention">{problem}</p>}
      {cues.length === 0 ? (
        <p className="px-5 py-4 text-[16px] text-second">
          {isLoading ? t`Reading the log…` : t`The script was not gone through.`}
        </p>
      ) : (
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        <div tabIndex={0} className="min-h-0 flex-1 overflow-y-auto px-5 pb-4">
          <CueTable rows={cues} locale={locale} />
        </div>
      )}
    </section>
  );
}

/** @param isNarrow beside a chart: only what the chart is about */
export function CueTable({
  rows,
  locale,
  isNarrow = false,
}: {
  rows: readonly CueRow[];
  locale: Locale;
  isNarrow?: boolean;
}) {
  const time = (atMs: number | null) => (atMs === null ? "" : formatTimeOfDay(atMs, locale));
  return (
    <table className="w-full max-w-5xl text-[15px] tabular-nums">
      <thead className="text-left text-[14px] text-second">
        <tr>
          <th className="py-1 font-normal">{t`Cue`}</th>
          {!isNarrow && <th className="font-normal">{t`planned`}</th>}
          {!isNarrow && <th className="font-normal">{t`began`}</th>}
          <th className="text-right font-normal">{t`length`}</th>
          <th className="pl-4 text-right font-normal">{t`took`}</th>
          <th className="pl-4 text-right font-normal">{t`over, under`}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ key, title, plannedAtMs, fromMs, plannedMs, tookMs, isOpen, overMs }) => (
          <tr key={key} className="border-t border-edge">
            <td className="max-w-72 truncate py-1.5">{title}</td>
            {!isNarrow && <td className="font-mono">{time(plannedAtMs)}</td>}
            {!isNarrow && <td className="font-mono">{time(fromMs)}</td>}
            <td className="text-right font-mono">{plannedMs === null ? "" : formatLength(plannedMs)}</td>
            <td className="pl-4 text-right font-mono">
              {formatLength(tookMs)}
              {isOpen && t` so far`}
            </td>
            <td
              className={`pl-4 text-right font-mono ${(overMs ?? 0) > 0 ? "text-attention" : "text-second"}`}
            >
              {overMs === null ? "" : formatOver(overMs)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
