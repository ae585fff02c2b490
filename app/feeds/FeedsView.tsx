import { Plug, Plus } from "lucide-react";
import { useState } from "react";
import { t } from "../../core/language/t.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useDropped } from "../desk/useDropped.ts";
import { FeedDetails } from "./FeedDetails.tsx";
import { FeedRow } from "./FeedRow.tsx";
import type { FeedPlaces } from "./feedPlaces.ts";
import { makeFeed, uploadOf } from "./makeFeed.ts";
import { NewFeed } from "./NewFeed.tsx";

/** The tables that fill pages: where they come from, as they are read, and how they do. */
export function FeedsView(places: FeedPlaces) {
  const { feeds } = useDesk("feeds");
  const [chosenId, setChosenId] = useState<string>();
  const [isNew, setIsNew] = useState(false);
  const store = useDeskStore();
  const bring = async (files: readonly File[]) => {
    for (const file of files) {
      const { id, problem } = await makeFeed("", uploadOf(file), file.name, file);
      if (problem !== undefined) store.say("trouble", problem);
      if (id === undefined) continue;
      setChosenId(id);
      setIsNew(false);
    }
  };
  useDropped("feed", (files) => void bring(files));
  const chosen = feeds.find(({ id }) => id === chosenId) ?? feeds[0];
  const isMaking = isNew || feeds.length === 0;
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[320px_minmax(0,1fr)] max-[1000px]:grid-cols-1 max-[1000px]:grid-rows-[minmax(140px,32%)_minmax(0,1fr)]">
      <aside
        aria-label={t`All feeds`}
        className="flex min-h-0 flex-col border-r border-edge bg-raised max-[1000px]:border-r-0 max-[1000px]:border-b"
      >
        <div className="flex items-center justify-between gap-3 px-4 pt-4 pb-2">
          <h2 className="text-[17px] font-semibold">{t`Feeds`}</h2>
          <button
            type="button"
            aria-pressed={isMaking}
            onClick={() => setIsNew(true)}
            className="flex min-h-9 items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge aria-pressed:bg-act-ground aria-pressed:text-act"
          >
            <Plus aria-hidden="true" className="size-4" /> {t`New feed`}
          </button>
        </div>
        <ul className="min-h-0 flex-1 overflow-y-auto px-2 pb-3">
          {feeds.map((feed) => (
            <FeedRow
              key={feed.id}
              feed={feed}
              isChosen={!isMaking && feed.id === chosen?.id}
              onChoose={() => {
                setChosenId(feed.id);
                setIsNew(false);
              }}
            />
          ))}
        </ul>
      </aside>
      <main aria-label={t`Feeds`} className="relative flex min-h-0 min-w-0 flex-col">
        {isMaking ? (
          <NewFeed
            places={places}
            onMade={(id) => {
              setChosenId(id);
              setIsNew(false);
            }}
            {...(feeds.length > 0 && { onCancel: () => setIsNew(false) })}
          >
            {feeds.length === 0 && (
              <p className="flex max-w-xl gap-3 text-[15px] text-second">
                <Plug aria-hidden="true" className="mt-0.5 size-5 shrink-0 text-act" />
                {t`A feed is a table that fills pages: a spreadsheet, a file that something else writes, an address, or a table that is typed here. When it changes, the pages change with it, on air too. What is broken never gets there: pages keep the last good values.`}
              </p>
            )}
          </NewFeed>
        ) : (
          chosen && <FeedDetails key={chosen.id} feed={chosen} places={places} />
        )}
        <NoticeBar />
      </main>
    </div>
  );
}
