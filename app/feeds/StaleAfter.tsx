import type { FeedDoc } from "../../core/feeds/feed.ts";
import { NumberBox } from "../ui/NumberBox.tsx";

/** When a feed is called stale: nothing new came for so long. */
export function StaleAfter({
  staleAfterMs,
  onSave,
}: Pick<FeedDoc, "staleAfterMs"> & { onSave: (change: Pick<FeedDoc, "staleAfterMs">) => void }) {
  return (
    <span className="flex items-center gap-2 text-[15px]">
      <label htmlFor="feed-stale" className="text-second">
        Stale when nothing new came for
      </label>
      <NumberBox
        id="feed-stale"
        value={staleAfterMs === null ? null : staleAfterMs / 1_000}
        min={1}
        max={86_400}
        className="w-24"
        onSave={(seconds) => onSave({ staleAfterMs: seconds * 1_000 })}
        onClear={() => onSave({ staleAfterMs: null })}
      />
      s
    </span>
  );
}
