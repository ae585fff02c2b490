import { Plug, Snowflake, Unplug } from "lucide-react";
import { t } from "../../core/language/t.ts";

/** That a page is filled from a feed, and how that does: with a sign and with words. */
export function FeedMark({
  names,
  words,
  says,
  isFrozen,
  since,
  isOneLine = false,
}: {
  names: string;
  /** What is wrong, in a few words; null while all is well. */
  words: string | null;
  says: string | null;
  isFrozen: boolean;
  /** Since when, as text. */
  since?: string | null;
  isOneLine?: boolean;
}) {
  const title = says ?? t`Filled from ${names}`;
  return (
    <span
      title={title}
      className={`inline-flex max-w-full items-start gap-1 text-left leading-snug text-[14px] ${words === null ? "text-act" : "text-attention"}`}
    >
      {words === null ? (
        <Plug aria-hidden="true" className="mt-0.5 size-3.5 shrink-0" />
      ) : (
        <Unplug aria-hidden="true" className="mt-0.5 size-3.5 shrink-0" />
      )}
      <span className={isOneLine ? "truncate" : "line-clamp-2"}>
        <span className="sr-only">{t`filled from`} </span>
        {words === null ? names : `${words}${since ? t` since ${since}` : ""}`}
      </span>
      {isFrozen && (
        <span className="inline-flex items-center gap-0.5 text-paper">
          <Snowflake aria-hidden="true" className="size-3.5" /> {t`frozen`}
        </span>
      )}
    </span>
  );
}
