import { useEffect, useState } from "react";
import type { FeedView } from "../../core/feeds/feedView.ts";
import { t } from "../../core/language/t.ts";
import { ask } from "../api/call.ts";
import type { Asks } from "../api/calls.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { useLocale } from "../desk/useLocale.ts";
import { formatTimeOfDay } from "../ui/format.ts";
import { EntryLinks } from "./EntryLinks.tsx";

/** Who else may change a table, and who has changed what. */
export function TableWork({ feed }: { feed: FeedView }) {
  const store = useDeskStore();
  const locale = useLocale();
  const [work, setWork] = useState<Asks["/table-work/"]>();
  const [asked, setAsked] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another table has other changes
  useEffect(() => {
    const end = new AbortController();
    void ask("/table-work/", feed.id, end.signal).then((answer) => {
      if (end.signal.aborted) return;
      if ("value" in answer) setWork(answer.value);
      else store.say("trouble", answer.problem.sentence);
    });
    return () => end.abort();
  }, [feed.id, feed.version, asked, store]);
  return (
    <div className="grid grid-cols-2 gap-x-8 gap-y-5 max-[1500px]:grid-cols-1">
      <EntryLinks feed={feed} links={work?.links ?? []} onChanged={() => setAsked(asked + 1)} />
      <section aria-label={t`Who changed what`} className="flex min-w-0 flex-col gap-2">
        <h3 className="text-[16px] font-semibold">{t`Who changed what`}</h3>
        {work?.changes.length === 0 && (
          <p className="text-[15px] text-second">{t`Nobody has changed anything yet.`}</p>
        )}
        <ol className="max-h-72 overflow-y-auto text-[15px]">
          {work?.changes.map(({ id, atMs, by, what }) => (
            <li key={id} className="flex gap-3 border-b border-edge py-1.5">
              <time className="shrink-0 text-second tabular-nums">{formatTimeOfDay(atMs, locale)}</time>
              <span className="w-32 shrink-0 truncate" title={by}>
                {by}
              </span>
              <span className="min-w-0 break-words">{what}</span>
            </li>
          ))}
        </ol>
      </section>
    </div>
  );
}
