import { Download, Plus, Search, Upload } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { useFetcher, useRevalidator, useSearchParams } from "react-router";
import { languageCode, t } from "../../core/language/t.ts";
import { songOf } from "../../core/words/songFields.ts";
import { asOutcome, call } from "../api/call.ts";
import { newId } from "../api/newId.ts";
import { sendFile } from "../api/sendFile.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useActor } from "../desk/useActor.ts";
import { useDropped } from "../desk/useDropped.ts";
import { ImportReview, type SongToLookAt } from "./ImportReview.tsx";
import { SongPage } from "./SongPage.tsx";

/** A song in the list. */
export interface ListedSong {
  readonly id: string;
  readonly title: string;
  readonly version: string;
  readonly firstLine: string;
  readonly writers: string;
  readonly number: string;
}

/** The venue's songs: found as one types, edited as text, with their slides beside. */
export function SongsView({
  query: startQuery,
  songs: startSongs,
  count,
}: {
  query: string;
  songs: readonly ListedSong[];
  count: number;
}) {
  const store = useDeskStore();
  const actor = useActor(store.windowId);
  const { outfits } = useDesk("outfits");
  const { revalidate } = useRevalidator();
  const fetcher = useFetcher<{ readonly songs: readonly ListedSong[] }>();
  const [parameters, setParameters] = useSearchParams();
  const [query, setQuery] = useState(startQuery);
  const [isBusy, setIsBusy] = useState(false);
  const [looking, setLooking] = useState<readonly SongToLookAt[]>([]);
  const list = useRef<HTMLUListElement>(null);
  const songs: readonly ListedSong[] =
    query === startQuery ? startSongs : (fetcher.data?.songs ?? startSongs);
  const chosenId = parameters.get("song") ?? songs[0]?.id ?? null;
  const choose = (id: string | null) =>
    setParameters(id === null ? {} : { song: id }, { replace: true, preventScrollReset: true });

  const { load } = fetcher;
  useEffect(() => {
    if (query !== startQuery) void load(`/songs?q=${encodeURIComponent(query)}`);
  }, [query, startQuery, load]);

  const refresh = async () => {
    await revalidate();
    if (query !== startQuery) await load(`/songs?q=${encodeURIComponent(query)}`);
  };
  const add = async () => {
    const id = newId();
    const saved = asOutcome(
      await call("/song/save", { id, actor, song: songOf(query, ""), baseRevision: 0 }),
    );
    if (saved.kind !== "saved") {
      store.say("trouble", saved.sentence);
      return;
    }
    setQuery("");
    await refresh();
    choose(id);
  };
  const bring = async (files: readonly File[]) => {
    setIsBusy(true);
    const left: string[] = [];
    const doubtful: SongToLookAt[] = [];
    let added = 0;
    let last: string | undefined;
    for (const file of files) {
      const answer = await sendFile<{
        added: { id: string; title: string }[];
        left: string[];
        notes: string[];
        doubtful: SongToLookAt[];
      }>("/files/songs", { fileName: file.name, actor }, file).answer;
      if (!answer) left.push(t`${file.name}: it could not be sent`);
      else if ("problem" in answer) left.push(`${file.name}: ${answer.problem.sentence}`);
      else {
        const { value } = answer;
        added += value.added.length;
        last = value.added[0]?.id ?? last;
        left.push(...value.left, ...value.notes);
        doubtful.push(...value.doubtful);
      }
    }
    setIsBusy(false);
    await refresh();
    if (doubtful.length > 0) setLooking(doubtful);
    else if (last) choose(last);
    const news = t`${added} ${added === 1 ? t`song was` : t`songs were`} imported.`;
    store.say(
      left.length > 0 ? "trouble" : "word",
      left.length === 0
        ? news
        : `${news} ${left.slice(0, 4).join("; ")}${left.length > 4 ? t`; and ${left.length - 4} more` : ""}.`,
    );
  };

  useDropped("songs", (files) => void bring(files));

  return (
    <div className="grid min-h-0 flex-1 grid-cols-[300px_minmax(0,1fr)] max-[1100px]:grid-cols-[230px_minmax(0,1fr)] max-sm:grid-cols-1 max-sm:grid-rows-[minmax(0,30%)_minmax(0,1fr)]">
      <section aria-label={t`Songs`} className="flex min-h-0 flex-col border-r border-edge bg-raised">
        <div className="flex flex-col gap-2.5 border-b border-edge p-3">
          <label className="relative block">
            <Search aria-hidden="true" className="absolute top-3 left-3 size-5 text-second" />
            <input
              id="song-search"
              type="search"
              aria-label={t`Find a song: title, first line, any words, writer or number`}
              value={query}
              placeholder={t`Title, words, writer, number`}
              onChange={(event) => setQuery(event.target.value)}
              onKeyDown={(event) => {
                if (event.key === "ArrowDown") {
                  event.preventDefault();
                  list.current?.querySelector("button")?.focus();
                }
                if (event.key === "Enter" && songs[0]) choose(songs[0].id);
              }}
              className="min-h-11 w-full rounded-lg border border-edge-strong bg-ground pr-3 pl-10 text-[16px] placeholder:text-quiet"
            />
          </label>
          <div className="flex flex-wrap gap-2">
            <button type="button" onClick={() => void add()} className={toolClass}>
              <Plus aria-hidden="true" className="size-4.5" /> {t`New`}
            </button>
            <label className={`${toolClass} cursor-pointer focus-within:outline-2 focus-within:outline-act`}>
              <Upload aria-hidden="true" className="size-4.5" /> {isBusy ? t`Importing…` : t`Import`}
              <input
                type="file"
                multiple
                accept=".txt,.cho,.crd,.chopro,.chordpro,.pro,.zip"
                className="sr-only"
                onChange={(event) => {
                  void bring([...(event.target.files ?? [])]);
                  event.target.value = "";
                }}
              />
            </label>
            <a href="/files/songs" download className={toolClass} title={t`Every song as ChordPro, in a ZIP`}>
              <Download aria-hidden="true" className="size-4.5" /> {t`All`}
            </a>
          </div>
        </div>
        <ul ref={list} className="min-h-0 flex-1 overflow-y-auto p-2">
          {songs.map((song) => (
            <li key={song.id}>
              <button
                type="button"
                aria-pressed={song.id === chosenId}
                onClick={() => choose(song.id)}
                onKeyDown={(event) => {
                  if (event.key !== "ArrowDown" && event.key !== "ArrowUp") return;
                  event.preventDefault();
                  const row = event.currentTarget.parentElement;
                  const next =
                    event.key === "ArrowDown" ? row?.nextElementSibling : row?.previousElementSibling;
                  const button = next?.querySelector("button");
                  button?.focus();
                  button?.click();
                }}
                className={`w-full rounded-md border-l-4 px-3 py-2 text-left ${song.id === chosenId ? "border-act bg-lifted" : "border-transparent hover:bg-lifted"}`}
              >
                <span className="block truncate text-[15px] font-semibold">
                  {song.title}
                  {song.version && <span className="font-normal text-second"> · {song.version}</span>}
                </span>
                <span className="font-words block truncate text-[15px] text-second">
                  {song.firstLine || t`no words yet`}
                </span>
                <span className="block truncate text-[14px] text-second">
                  {[song.writers, song.number].filter(Boolean).join(" · ")}
                </span>
              </button>
            </li>
          ))}
          {songs.length === 0 && (
            <li className="px-3 py-4 text-[15px] text-second">
              {count === 0
                ? t`No songs yet. Write a new one, import text or ChordPro files, or keep a song of a rundown here.`
                : t`No song has these words. Check the spelling, or type fewer of them.`}
            </li>
          )}
        </ul>
        <p aria-live="polite" className="border-t border-edge px-4 py-2 text-[14px] text-second">
          {query === ""
            ? `${count.toLocaleString(languageCode())} ${count === 1 ? t`song` : t`songs`}`
            : t`${songs.length} found`}
          {query === "" && count > songs.length && t`, the first ${songs.length} listed`}
        </p>
      </section>
      {looking.length > 0 ? (
        <ImportReview
          songs={looking}
          actor={actor}
          onAdded={(id) => {
            void refresh();
            choose(id);
          }}
          onDone={() => setLooking([])}
        />
      ) : chosenId === null ? (
        <main aria-label={t`Song`} className="relative grid place-content-center p-8">
          <p className="font-words text-[20px]">{t`Choose a song, or write a new one.`}</p>
          <NoticeBar />
        </main>
      ) : (
        <SongPage
          key={chosenId}
          id={chosenId}
          actor={actor}
          outfits={outfits}
          onChanged={refresh}
          onGone={() => choose(null)}
        />
      )}
    </div>
  );
}

const toolClass = "flex min-h-9 items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge";
