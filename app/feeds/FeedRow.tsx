import { Plug, Unplug } from "lucide-react";
import { type FeedView, feedTrouble } from "../../core/feeds/feedView.ts";
import { t } from "../../core/language/t.ts";
import { useReading } from "../desk/deskContext.ts";
import { agoWords, sourceWords } from "./feedWords.ts";

/** One feed in the list: its name, where it comes from, how it does. */
export function FeedRow({
  feed,
  isChosen,
  onChoose,
}: {
  feed: FeedView;
  isChosen: boolean;
  onChoose: () => void;
}) {
  const trouble = feedTrouble(feed);
  const Sign = trouble ? Unplug : Plug;
  return (
    <li>
      <button
        type="button"
        aria-pressed={isChosen}
        onClick={onChoose}
        className={`flex w-full items-start gap-3 rounded-lg border-l-4 px-3 py-2.5 text-left ${isChosen ? "border-l-act bg-lifted" : "border-l-transparent hover:bg-lifted"}`}
      >
        <Sign
          aria-hidden="true"
          className={`mt-0.5 size-5 shrink-0 ${trouble ? "text-attention" : "text-act"}`}
        />
        <span className="min-w-0 flex-1">
          <span className="block truncate text-[16px] font-semibold">{feed.doc.name}</span>
          <span className="block truncate text-[14px] text-second">{sourceWords(feed.doc.source)}</span>
          <span className={`block text-[14px] ${trouble ? "text-attention" : "text-second"}`}>
            {trouble ?? <Since feed={feed} />}
          </span>
        </span>
      </button>
    </li>
  );
}

function Since({ feed }: { feed: FeedView }) {
  const ago = useReading((nowMs) => (feed.changedAtMs === null ? "" : agoWords(nowMs - feed.changedAtMs)));
  return feed.changedAtMs === null ? (
    t`nothing read yet`
  ) : (
    <>
      {t`${rowCountWords(feed)} · changed`} <span className="tabular-nums">{ago}</span>
    </>
  );
}

function rowCountWords({ doc, rows }: FeedView): string {
  if (doc.format.kind === "picture") return t`a picture`;
  return `${rows} ${rows === 1 ? t`row` : t`rows`}`;
}
