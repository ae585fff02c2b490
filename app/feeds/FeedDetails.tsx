import { RefreshCw, Trash2, Unplug } from "lucide-react";
import { useState } from "react";
import { feedsIn } from "../../core/feeds/binding.ts";
import type { FeedDoc } from "../../core/feeds/feed.ts";
import { faultSentence } from "../../core/feeds/feedFault.ts";
import { type FeedView, feedTrouble } from "../../core/feeds/feedView.ts";
import { t } from "../../core/language/t.ts";
import { call } from "../api/call.ts";
import { sendFile } from "../api/sendFile.ts";
import { useSavesInOrder } from "../api/useSavesInOrder.ts";
import { useDesk, useDeskStore, useReading } from "../desk/deskContext.ts";
import { useLocale } from "../desk/useLocale.ts";
import { formatTimeOfDay } from "../ui/format.ts";
import { HoldButton } from "../ui/HoldButton.tsx";
import { fieldClass } from "../ui/Labelled.tsx";
import { FeedColumns } from "./FeedColumns.tsx";
import { FeedPicture } from "./FeedPicture.tsx";
import { FeedReading } from "./FeedReading.tsx";
import { FeedTable } from "./FeedTable.tsx";
import type { FeedPlaces } from "./feedPlaces.ts";
import { agoWords, intervalWords, sourceWords } from "./feedWords.ts";
import { TableGrid } from "./grid/TableGrid.tsx";
import { TableWork } from "./TableWork.tsx";

const button = "flex min-h-9 items-center gap-2 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge";

/** One feed: how it does, its table as it is read, how it is read and what is allowed in it. */
export function FeedDetails({ feed, places }: { feed: FeedView; places: FeedPlaces }) {
  const store = useDeskStore();
  const [doc, save] = useSavesInOrder<FeedDoc>(feed.revision, feed.doc, async (changed, baseRevision) => {
    const answer = await call("/feeds-edit", { kind: "save", id: feed.id, baseRevision, doc: changed });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    return !("problem" in answer);
  });
  const isTable = doc.source.kind === "table";
  /** Nothing is read, and nothing is typed. */
  const isRunning = doc.source.kind === "running";
  const isPicture = doc.format.kind === "picture" && !isTable;
  const { cues } = useDesk("cues");
  const [name, setName] = useState(doc.name);
  const bound = cues.filter(
    ({ ready }) => ready?.content.live && feedsIn(ready.content.live.bindings).includes(feed.id),
  );

  const act = async (edit: Parameters<typeof call<"/feeds-edit">>[1]) => {
    const answer = await call("/feeds-edit", edit);
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
  };
  const bring = async (file: File | undefined) => {
    if (!file) return;
    const sent = await sendFile("/files/feed", { id: feed.id, fileName: file.name.slice(0, 200) }, file)
      .answer;
    if (!sent || "problem" in sent)
      store.say(
        "trouble",
        sent?.problem.sentence ?? t`The file could not be sent. Pages keep what they have.`,
      );
  };

  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
    <div tabIndex={0} className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto px-6 py-5 *:flex-none">
      <div className="flex flex-wrap items-center gap-3">
        <input
          aria-label={t`Name of the feed`}
          value={name}
          maxLength={80}
          onChange={({ target }) => setName(target.value)}
          onBlur={() => (name.trim() === "" ? setName(doc.name) : name !== doc.name && void save({ name }))}
          onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
          className={`${fieldClass} max-w-sm min-w-40 flex-1 text-[19px] font-semibold`}
        />
        {doc.source.kind === "upload" && (
          <label className={`${button} cursor-pointer focus-within:outline-2 focus-within:outline-act`}>
            <RefreshCw aria-hidden="true" className="size-4" /> {t`Bring it again`}
            <input
              type="file"
              className="sr-only"
              onChange={({ target }) => {
                void bring(target.files?.[0]);
                target.value = "";
              }}
            />
          </label>
        )}
        <HoldButton
          title={
            bound.length > 0
              ? t`Hold for half a second. ${bound.length} pages keep what they show now.`
              : t`Hold for half a second`
          }
          onHeld={() => void act({ kind: "remove", id: feed.id })}
          className={`${button} ml-auto`}
        >
          <Trash2 aria-hidden="true" className="size-4" />
          <span>{t`Remove`}</span>
        </HoldButton>
      </div>
      <Facts feed={feed} />
      {feed.fault && (
        <div
          role="status"
          className="flex flex-wrap items-start gap-3 rounded-lg border border-attention bg-attention-ground px-4 py-3 text-[15px]"
        >
          <Unplug aria-hidden="true" className="mt-0.5 size-5 shrink-0 text-attention" />
          <p className="min-w-0 flex-1">
            {faultSentence(doc.name, feed.fault)} <FaultSince sinceMs={feed.fault.sinceMs} />
          </p>
          {AS_IT_IS.has(feed.fault.code) && (
            <button
              type="button"
              onClick={() => void act({ kind: "takeAsItIs", id: feed.id })}
              className="min-h-9 shrink-0 rounded-md border border-attention px-3 hover:bg-lifted"
            >
              {t`It is right as it is`}
            </button>
          )}
        </div>
      )}
      {isTable ? (
        <TableGrid feed={feed} onSave={(change) => void save(change)} />
      ) : isPicture ? (
        <FeedPicture feed={feed} onSave={(change) => void save(change)} />
      ) : (
        <FeedTable feed={feed} onKey={(keyColumn) => void save({ keyColumn })} />
      )}
      <div className="grid grid-cols-2 gap-x-8 gap-y-5 max-[1500px]:grid-cols-1">
        {!isTable && !isRunning && (
          <FeedReading feed={feed} places={places} onSave={(change) => void save(change)} />
        )}
        {!isPicture && !isRunning && <FeedColumns feed={feed} onSave={(change) => void save(change)} />}
      </div>
      {isTable && <TableWork feed={feed} />}
      <section aria-label={t`Pages that it fills`}>
        <h3 className="mb-1 text-[16px] font-semibold">{t`Pages that it fills`}</h3>
        {bound.length === 0 ? (
          <p className="text-[15px] text-second">
            {t`None yet. In a page's form, press the plug beside a field and choose a column.`}
          </p>
        ) : (
          <ul className="flex flex-wrap gap-2">
            {bound.map(({ view, index, title }) => (
              <li key={view.cueId} className="rounded-md bg-raised px-3 py-1.5 text-[15px]">
                {index + 1} · {title}
              </li>
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}

/** Faults that a person may find to be no faults: what came is whole, only otherwise than before. */
const AS_IT_IS = new Set(["missingColumn", "wrongKind", "empty", "cutOff"]);

function Facts({ feed }: { feed: FeedView }) {
  const changed = useReading((nowMs) =>
    feed.changedAtMs === null ? t`never` : agoWords(nowMs - feed.changedAtMs),
  );
  const looked = useReading((nowMs) =>
    feed.checkedAtMs === null ? t`not yet` : agoWords(nowMs - feed.checkedAtMs),
  );
  const trouble = feedTrouble(feed);
  const facts = [
    [t`From`, sourceWords(feed.doc.source)],
    ...(feed.doc.format.kind === "picture" ? [] : ([[t`Rows`, String(feed.rows)]] as const)),
    [t`Changed`, changed],
    // Hands change a table as they like; what is read has a rhythm.
    ...(feed.doc.source.kind === "table"
      ? []
      : ([
          [t`Looked at`, looked],
          [t`Changes`, feed.everyMs === null ? t`seldom so far` : t`every ${intervalWords(feed.everyMs)}`],
        ] as const)),
    [t`State`, trouble ?? t`well`],
  ] as const;
  return (
    <dl className="flex flex-wrap gap-x-8 gap-y-1 text-[15px]">
      {facts.map(([label, value]) => (
        <div key={label} className="flex gap-2">
          <dt className="text-second">{label}</dt>
          <dd className={`tabular-nums ${label === "State" && trouble ? "text-attention" : ""}`}>{value}</dd>
        </div>
      ))}
    </dl>
  );
}

function FaultSince({ sinceMs }: { sinceMs: number }) {
  const locale = useLocale();
  return <span className="text-second">{t`Since ${formatTimeOfDay(sinceMs, locale)}.`}</span>;
}
