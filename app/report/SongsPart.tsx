import { Download, TriangleAlert } from "lucide-react";
import { t } from "../../core/language/t.ts";
import { MISSING, songsCsv } from "../../core/report/csvOf.ts";
import { useLocale } from "../desk/useLocale.ts";
import { formatDay, formatLength } from "../ui/format.ts";
import { saveText } from "../ui/saveText.ts";
import { dayAndTime, fileDay } from "./dayAndTime.ts";
import type { PartProps } from "./partProps.ts";
import { smallButton } from "./ShownPart.tsx";
import { useSongUse } from "./useReport.ts";

/** Which songs were shown, as a licence report asks for them. */
export function SongsPart({ range }: PartProps) {
  const { value, problem, isLoading } = useSongUse(range);
  const locale = useLocale();
  const { songs } = value;
  const unnumbered = songs.filter(({ missing }) => missing.length > 0).length;
  return (
    <section aria-label={t`Songs`} className="flex min-h-0 flex-1 flex-col">
      <div className="flex shrink-0 flex-wrap items-center gap-3 px-5 py-2.5">
        <p className="text-[15px] text-second">
          {t`A song counts once for each time it is sung, however many slides and screens it had.`}
        </p>
        {unnumbered > 0 && (
          <p className="flex items-center gap-1.5 text-[15px] text-attention">
            <TriangleAlert aria-hidden="true" className="size-4.5" />
            {t`${unnumbered === 1 ? t`One song lacks` : t`${unnumbered} songs lack`} what a report needs.`}
          </p>
        )}
        <button
          type="button"
          className={`${smallButton} ml-auto`}
          disabled={songs.length === 0}
          onClick={() =>
            saveText(
              t`songs ${fileDay(range.fromMs, locale)}.csv`,
              "text/csv",
              songsCsv(songs, dayAndTime(locale)),
            )
          }
        >
          <Download aria-hidden="true" className="size-4" /> {t`CSV`}
        </button>
      </div>
      {problem !== undefined && <p className="px-5 pb-2 text-[15px] text-attention">{problem}</p>}
      {songs.length === 0 ? (
        <p className="px-5 py-4 text-[16px] text-second">
          {isLoading ? t`Reading the log…` : t`No song was shown.`}
        </p>
      ) : (
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        <div tabIndex={0} className="min-h-0 flex-1 overflow-y-auto px-5 pb-4">
          <table className="w-full text-[15px] tabular-nums">
            <thead className="text-left text-[14px] text-second">
              <tr>
                <th className="py-1 font-normal">{t`Song`}</th>
                <th className="font-normal">{t`writers`}</th>
                <th className="font-normal">{t`number`}</th>
                <th className="text-right font-normal">{t`times`}</th>
                <th className="pl-4 text-right font-normal">{t`shown for`}</th>
                <th className="pl-4 font-normal">{t`last`}</th>
                <th className="pl-4 font-normal">{t`screens`}</th>
              </tr>
            </thead>
            <tbody>
              {songs.map(({ key, title, otherTitles, credits, times, shownMs, lastMs, screens, missing }) => (
                <tr key={key} className="border-t border-edge align-top">
                  <td className="py-1.5 pr-4">
                    {title}
                    {otherTitles.length > 0 && (
                      <span className="block text-[14px] text-second">{t`also as ${otherTitles.join(", ")}`}</span>
                    )}
                  </td>
                  <td className="pr-4">
                    {credits.writers || <Lacks what={MISSING.writers} />}
                    {credits.publisher && (
                      <span className="block text-[14px] text-second">
                        {[credits.publisher, credits.year].filter(Boolean).join(", ")}
                      </span>
                    )}
                  </td>
                  <td className="pr-4 font-mono">
                    {credits.number ||
                      (missing.includes("number") ? (
                        <Lacks what={MISSING.number} />
                      ) : (
                        <span className="font-plain text-second">{t`public domain`}</span>
                      ))}
                  </td>
                  <td className="text-right font-mono">{times}</td>
                  <td className="pl-4 text-right font-mono">{formatLength(shownMs)}</td>
                  <td className="pl-4 whitespace-nowrap">{formatDay(lastMs, locale)}</td>
                  <td className="pl-4 text-second">{screens.join(", ")}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

const Lacks = ({ what }: { what: string }) => (
  <span className="flex items-center gap-1.5 font-plain text-attention">
    <TriangleAlert aria-hidden="true" className="size-4 shrink-0" /> {t`${what} is missing`}
  </span>
);
