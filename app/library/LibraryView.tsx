import { Upload } from "lucide-react";
import { useState } from "react";
import { useRevalidator } from "react-router";
import { t } from "../../core/language/t.ts";
import type { ChromaKey } from "../../core/picture/chromaKey.ts";
import type { LibraryEntry } from "../../core/scene/libraryEntry.ts";
import { call } from "../api/call.ts";
import type { LibraryData } from "../api/loaded.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useActor } from "../desk/useActor.ts";
import { useDropped } from "../desk/useDropped.ts";
import { bringIn } from "./bringIn.ts";
import { FontsAdded } from "./FontsAdded.tsx";
import { LibraryFilters } from "./LibraryFilters.tsx";
import { EVERYTHING, foldersOf, isLookedFor } from "./librarySearch.ts";
import { MediaCard } from "./MediaCard.tsx";
import { MediaDetails } from "./MediaDetails.tsx";

/** A file on its way in. */
interface Sending {
  readonly name: string;
  readonly share: number;
  readonly callOff: () => void;
}

/** Pictures, clips and sounds: brought in by a button or by dropping them, each with what it is and where it is used. */
export function LibraryView({ items, fonts }: LibraryData) {
  const store = useDeskStore();
  const { revalidate } = useRevalidator();
  const [chosenId, setChosenId] = useState<string | null>(items[0]?.id ?? null);
  const [sending, setSending] = useState<Sending | null>(null);
  const [search, setSearch] = useState(EVERYTHING);
  const actor = useActor(store.windowId);
  const chosen = items.find(({ id }) => id === chosenId);

  const shown = items.filter((item) => isLookedFor(item, search));

  const send = async (file: File, replaces?: string) => {
    setSending({ name: file.name, share: 0, callOff: () => {} });
    const told = (share: number, callOff: () => void) => setSending({ name: file.name, share, callOff });
    const result = await bringIn(
      file,
      told,
      replaces === undefined ? {} : { replaces: { id: replaces, actor } },
    );
    setSending(null);
    if ("problem" in result) store.say("trouble", result.problem.sentence);
    return result;
  };
  const take = async (files: Iterable<File> | null) => {
    for (const file of files ?? []) {
      const result = await send(file);
      if ("value" in result && result.value.item) {
        setChosenId(result.value.item.id);
        setSearch(EVERYTHING);
      }
    }
    await revalidate();
  };
  useDropped("library", (files) => void take(files));
  const replace = async (id: string, file: File) => {
    const result = await send(file, id);
    if ("value" in result && result.value.item)
      store.say(
        "word",
        t`“${result.value.item.info.name}” has another file: pages and templates have it from their next take on. What is on air stays as it is.`,
      );
    await revalidate();
  };
  const describe = async (id: string, entry: LibraryEntry) => {
    const answer = await call("/library-edit", { id, entry, actor });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    await revalidate();
  };
  const remove = async (kind: "media" | "font", id: string, name: string) => {
    const answer = await call("/library-remove", { kind, id });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else store.say("word", t`“${name}” is deleted from the library. What is on air keeps it.`);
    await revalidate();
  };
  const saveKey = async (id: string, key: ChromaKey | null) => {
    const answer = await call("/library-key", { id, key, actor });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    await revalidate();
  };

  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_480px] max-[1100px]:grid-cols-1 max-[1100px]:grid-rows-[minmax(0,1fr)_minmax(0,38%)]">
      <main aria-label={t`Library`} className="relative min-h-0 overflow-y-auto px-5 py-4">
        <div className="mb-4 flex items-center gap-4">
          <label className="inline-flex min-h-11 cursor-pointer items-center gap-2 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-act hover:brightness-110">
            <Upload aria-hidden="true" className="size-4.5" />
            {t`Import files`}
            <input
              type="file"
              multiple
              accept="image/png,image/jpeg,image/webp,image/avif,image/gif,video/webm,video/mp4,audio/*,.ttf,.otf,.woff2"
              className="sr-only"
              onChange={(event) => void take(event.target.files)}
            />
          </label>
          <p className="text-[15px] text-second">
            {t`or drop them here: pictures, WebM and MP4 clips, sounds, TTF, OTF and WOFF2 fonts.`}
          </p>
        </div>
        {sending && (
          <div
            role="status"
            className="mb-4 flex items-center gap-4 rounded-lg border border-edge px-4 py-2.5 text-[15px]"
          >
            <span className="min-w-0 flex-1 truncate">
              {sending.share < 1 ? t`Bringing in` : t`Looking through`} {sending.name}
            </span>
            <progress
              aria-label={t`Progress`}
              className="h-2 w-60 accent-act"
              value={sending.share < 1 ? sending.share : undefined}
            />
            <button
              type="button"
              onClick={sending.callOff}
              className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge"
            >
              {t`Call it off`}
            </button>
          </div>
        )}
        <LibraryFilters items={items} search={search} onChange={setSearch} />
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(210px,1fr))] gap-3">
          {shown.map((item) => (
            <li key={item.id}>
              <MediaCard item={item} isChosen={item.id === chosenId} onChoose={() => setChosenId(item.id)} />
            </li>
          ))}
        </ul>
        {items.length === 0 && <p className="font-words text-[20px]">{t`Nothing is here yet.`}</p>}
        {items.length > 0 && shown.length === 0 && (
          <p className="text-[15px] text-second">
            {t`Nothing is found so.`}{" "}
            <button type="button" onClick={() => setSearch(EVERYTHING)} className="text-act hover:underline">
              {t`Show everything`}
            </button>
          </p>
        )}
        <FontsAdded fonts={fonts} onRemove={(id, name) => void remove("font", id, name)} />
        <NoticeBar />
      </main>
      <aside
        aria-label={t`Chosen`}
        className="min-h-0 overflow-y-auto border-l border-edge max-[1100px]:border-t max-[1100px]:border-l-0 bg-raised px-4 py-4"
      >
        {!chosen && (
          <p className="text-[15px] text-second">{t`Choose a picture, clip or sound to see more of it.`}</p>
        )}
        {chosen && (
          <MediaDetails
            key={chosen.id}
            item={chosen}
            folders={foldersOf(items)}
            onDescribe={(entry) => void describe(chosen.id, entry)}
            onKey={(key) => void saveKey(chosen.id, key)}
            onReplace={(file) => void replace(chosen.id, file)}
            onRemove={() => void remove("media", chosen.id, chosen.info.name)}
          />
        )}
      </aside>
    </div>
  );
}
