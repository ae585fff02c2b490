import type { FeedDoc } from "../../core/feeds/feed.ts";
import type { FeedView } from "../../core/feeds/feedView.ts";
import { t } from "../../core/language/t.ts";
import { useFeedRows } from "../desk/useFeedRows.ts";
import { NamedPicture } from "../pictures/NamedPicture.tsx";
import { StaleAfter } from "./StaleAfter.tsx";

/** A feed that is a picture: the last whole one, and what it is called in the library. */
export function FeedPicture({
  feed,
  onSave,
}: {
  feed: FeedView;
  onSave: (change: Partial<FeedDoc>) => void;
}) {
  const rows = useFeedRows({ feedId: feed.id, most: 1, asRead: true });
  const name = rows?.rows[0]?.cells[0] ?? "";
  return (
    <section aria-label={t`Its picture`} className="flex flex-col gap-3">
      {name === "" ? (
        <p className="rounded-lg border border-dashed border-edge-strong px-5 py-6 text-[15px] text-second">
          {t`No whole picture came yet. As soon as one does, it stands here.`}
        </p>
      ) : (
        <figure className="flex w-fit flex-col gap-1.5">
          <NamedPicture
            name={name}
            version={feed.version}
            className="max-h-[320px] max-w-full rounded-lg border border-edge object-contain"
          />
          <figcaption className="text-[15px]">
            {name}{" "}
            <span className="text-second">{t`in the library. A new one at most every two seconds.`}</span>
          </figcaption>
        </figure>
      )}
      <StaleAfter staleAfterMs={feed.doc.staleAfterMs} onSave={onSave} />
    </section>
  );
}
