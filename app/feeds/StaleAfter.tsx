import type { FeedDoc } from "../../core/feeds/feed.ts";
import { t } from "../../core/language/t.ts";
import { SecondsBox } from "../ui/SecondsBox.tsx";

/** When a feed is called stale: nothing new came for so long. */
export function StaleAfter({
  staleAfterMs,
  onSave,
}: Pick<FeedDoc, "staleAfterMs"> & { onSave: (change: Pick<FeedDoc, "staleAfterMs">) => void }) {
  return (
    <span className="flex items-center gap-2 text-[15px]">
      <label htmlFor="feed-stale" className="text-second">
        {t`Stale when nothing new came for`}
      </label>
      <SecondsBox
        id="feed-stale"
        ms={staleAfterMs}
        min={1}
        max={86_400}
        className="w-24"
        onSave={(ms) => onSave({ staleAfterMs: ms })}
        onClear={() => onSave({ staleAfterMs: null })}
      />
      {t`s`}
    </span>
  );
}
