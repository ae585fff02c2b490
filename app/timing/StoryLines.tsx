import { useEffect, useState } from "react";
import { t } from "../../core/language/t.ts";
import type { StoryLine } from "../../core/report/airStory.ts";
import { ask } from "../api/call.ts";
import { useDesk } from "../desk/deskContext.ts";
import type { DeskSnapshot } from "../desk/deskSnapshot.ts";
import { useLocale } from "../desk/useLocale.ts";
import { formatTimeOfDay } from "../ui/format.ts";

const LOGS = {
  air: { name: t`On the air`, none: t`Nothing was done yet.` },
  rehearsal: { name: t`In rehearsal`, none: t`Nothing was rehearsed since the server started.` },
  tables: { name: t`In tables`, none: t`Nobody has changed a table yet.` },
} as const;
type LogName = keyof typeof LOGS;
const LOG_NAMES = Object.keys(LOGS) as readonly LogName[];

/** What was done, the latest first: on the air, in the rehearsal, which has a log of its own, or to tables. */
export function StoryLines({ desk }: { desk: Pick<DeskSnapshot, "channel" | "state"> }) {
  const { channel, state } = desk;
  const { feeds } = useDesk("feeds");
  const tableVersions = feeds.reduce(
    (sum, { doc, version }) => sum + (doc.source.kind === "table" ? version : 0),
    0,
  );
  const locale = useLocale();
  const [of, setOf] = useState<LogName>(channel);
  const [lines, setLines] = useState<readonly StoryLine[]>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked for again when something was done
  useEffect(() => {
    let gone = false;
    void ask("/log", `?of=${of}`).then((answer) => {
      if (!gone) setLines("value" in answer ? answer.value.lines : []);
    });
    return () => {
      gone = true;
    };
  }, [of, of === "tables" ? tableVersions : state.seq]);
  return (
    <div className="flex min-h-0 flex-1 flex-col px-6 py-4">
      <div role="toolbar" aria-label={t`Which log`} className="mb-3 flex gap-2">
        {LOG_NAMES.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={of === each}
            onClick={() => setOf(each)}
            className="min-h-9 rounded-md bg-lifted px-4 text-[15px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act"
          >
            {LOGS[each].name}
          </button>
        ))}
      </div>
      {lines?.length === 0 && <p className="text-[16px] text-second">{LOGS[of].none}</p>}
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
      <div tabIndex={0} className="min-h-0 flex-1 overflow-y-auto">
        <table className="w-full text-[15px]">
          <thead className="sr-only">
            <tr>
              <th>{t`Time`}</th>
              <th>{t`What`}</th>
              <th>{t`Words`}</th>
              <th>{t`Who`}</th>
            </tr>
          </thead>
          <tbody>
            {[...(lines ?? [])].reverse().map(({ seq, atMs, what, words, who }) => (
              <tr key={seq} className="border-t border-edge">
                <td className="w-36 py-1.5 font-mono whitespace-nowrap tabular-nums">
                  {formatTimeOfDay(atMs, locale)}
                </td>
                <td className="w-56 pr-4">{what}</td>
                <td className="max-w-0 truncate font-words text-[16px]">{words}</td>
                <td className="w-40 pl-4 text-second">
                  {who?.kind === "timer" ? t`by itself` : (who?.name ?? "")}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}
