import { useCallback, useEffect, useState } from "react";
import type { CopyView } from "../../core/carry/carryView.ts";
import { t } from "../../core/language/t.ts";
import { ask, call } from "../api/call.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { useLocale } from "../desk/useLocale.ts";
import { formatBytes, formatDate } from "../ui/format.ts";
import { buttonClass } from "./buttons.ts";

/** The copies that the server makes by itself, with what each held. */
export function CopyList({ onLook }: { onLook: (name: string) => void }) {
  const store = useDeskStore();
  const locale = useLocale();
  const [copies, setCopies] = useState<readonly CopyView[]>();
  const [isCopying, setIsCopying] = useState(false);
  const load = useCallback(async () => {
    const answer = await ask("/carry-copies");
    if ("value" in answer) setCopies(answer.value.copies);
    else store.say("trouble", answer.problem.sentence);
  }, [store]);
  useEffect(() => void load(), [load]);
  const copyNow = async () => {
    setIsCopying(true);
    const answer = await call("/health/back-up", {});
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else if (!answer.value.done)
      store.say("trouble", t`The copy could not be made: Health says why. The show is as it was.`);
    await load();
    setIsCopying(false);
  };
  return (
    <aside
      aria-label={t`Copies`}
      className="flex min-h-0 flex-col gap-3 overflow-y-auto border-l border-edge bg-raised px-5 py-5 max-[1100px]:border-t max-[1100px]:border-l-0 *:flex-none"
    >
      <div className="flex items-center justify-between gap-3">
        <h2 className="text-[17px] font-semibold">{t`Copies of the show`}</h2>
        <button type="button" disabled={isCopying} onClick={() => void copyNow()} className={buttonClass}>
          {isCopying ? t`Copying…` : t`Copy it now`}
        </button>
      </div>
      <p className="text-[15px] text-second">
        {t`Made by itself at each start, every ten minutes of change, before an update and before anything is brought in. Look into one to bring back an evening, a song or a template, or all of it.`}
      </p>
      {copies?.length === 0 && <p className="text-[15px]">{t`There is none yet.`}</p>}
      <ul aria-label={t`Copies of the show`} className="flex flex-col gap-2">
        {copies?.map((copy) => (
          <li
            key={copy.name}
            className="flex items-center gap-3 rounded-lg border border-edge px-3 py-2 text-[15px]"
          >
            <div className="min-w-0 flex-1">
              <p className="flex justify-between gap-3">
                <time className="font-semibold" suppressHydrationWarning>
                  {formatDate(copy.atMs, locale)}
                </time>
                <span className="font-mono text-second">{formatBytes(copy.bytes)}</span>
              </p>
              <p className="text-second">{heldBy(copy)}</p>
            </div>
            <button
              type="button"
              aria-label={t`Look into the copy of ${formatDate(copy.atMs, locale)}`}
              onClick={() => onLook(copy.name)}
              className={buttonClass}
            >
              {t`Look`}
            </button>
          </li>
        ))}
      </ul>
    </aside>
  );
}

function heldBy({ evenings, cues, songs, media, isBeforeUpdate }: CopyView): string {
  const counted = (n: number | undefined, one: string, many: string) =>
    n === undefined ? [] : [`${n} ${n === 1 ? one : many}`];
  const all = [
    ...counted(evenings, t`evening`, t`evenings`),
    ...counted(cues, t`cue`, t`cues`),
    ...counted(songs, t`song`, t`songs`),
    ...counted(media, t`picture or clip`, t`pictures and clips`),
  ];
  return [
    all.length > 0 ? all.join(", ") : t`of an older version`,
    ...(isBeforeUpdate ? [t`before an update, or something was brought in`] : []),
  ].join("; ");
}
