import { Download, ListPlus, Trash2 } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { t } from "../../core/language/t.ts";
import type { Anchor } from "../../core/rundown/anchor.ts";
import { type SongDoc, songCue } from "../../core/rundown/cueDoc.ts";
import type { DeskOutfit } from "../../core/wire/deskDesigns.ts";
import { songFieldsOf } from "../../core/words/songFields.ts";
import { type Answered, ask, asOutcome, call } from "../api/call.ts";
import type { KeptSong } from "../api/calls.ts";
import { newId } from "../api/newId.ts";
import { saveEdit } from "../api/saveEdit.ts";
import { useDraftSaver } from "../api/useDraftSaver.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { useLocale } from "../desk/useLocale.ts";
import { CuePictures } from "../pictures/CuePictures.tsx";
import { SongEditor } from "../prepare/forms/SongEditor.tsx";
import { formatDay } from "../ui/format.ts";
import { SaveLine } from "../ui/SaveLine.tsx";
import { useTryOut } from "./useTryOut.ts";

interface PageProps {
  readonly id: string;
  readonly actor: string;
  readonly outfits: readonly DeskOutfit[];
  readonly onChanged: () => Promise<void>;
  readonly onGone: () => void;
}

/** One song of the library, fetched when it is chosen. */
export function SongPage(props: PageProps) {
  const { id } = props;
  const [loaded, setLoaded] = useState<Answered<KeptSong> | null>(null);
  useEffect(() => {
    let left = false;
    void ask("/song/", `${encodeURIComponent(id)}?versions`).then((answer) => !left && setLoaded(answer));
    return () => {
      left = true;
    };
  }, [id]);
  if (!loaded || "problem" in loaded)
    return (
      <main aria-label={t`Song`} className="relative p-8 text-[16px] text-second">
        {loaded?.problem.code === "unreachable"
          ? t`The server cannot be reached. Choose the song again once it is back.`
          : loaded?.problem.sentence}
        <NoticeBar />
      </main>
    );
  return <LoadedSong {...props} loaded={loaded.value} />;
}

function LoadedSong({
  id,
  actor,
  outfits,
  onChanged,
  onGone,
  loaded,
}: PageProps & { readonly loaded: KeptSong }) {
  const desk = useDesk("chosenId", "cues");
  const store = useDeskStore();
  const locale = useLocale();
  const [anchor, setAnchor] = useState<Anchor | null>(null);
  const saver = useDraftSaver(
    "song",
    id,
    { revision: loaded.revision, doc: loaded.song },
    async (song, baseRevision) => {
      const outcome = asOutcome(await call("/song/save", { id, actor, song, baseRevision }));
      if (outcome.kind === "saved") void onChanged();
      return outcome;
    },
  );
  const { draft } = saver;
  const doc = useMemo(() => songCue(songFieldsOf(draft)), [draft]);
  const cue = useTryOut(`library-${id}`, doc);
  const problem = "problem" in cue.view.compiled ? cue.view.compiled.problem : "";

  const addToRundown = async () => {
    await saver.flush();
    const cueId = newId();
    const latest = await ask("/song/", encodeURIComponent(id));
    const outcome = await saveEdit(actor, {
      kind: "addCue",
      cueId,
      doc: songCue({
        ...draft,
        source: "value" in latest ? { songId: id, revision: latest.value.revision } : null,
      }),
      afterId: desk.chosenId ?? desk.cues.at(-1)?.view.cueId ?? null,
    });
    if (outcome.kind !== "saved") return store.say("trouble", outcome.sentence);
    store.choose(cueId);
    store.say(
      "word",
      t`“${cue.ready?.content.title ?? draft.title}” is in the rundown, after the chosen cue.`,
    );
  };
  const takeOut = async () => {
    const answer = await call("/song/delete", { id, isDeleted: true });
    if ("problem" in answer) return store.say("trouble", answer.problem.sentence);
    store.say("word", t`“${draft.title}” is out of the library. Rundowns that sing it keep their copies.`, {
      label: t`Put it back`,
      staysIn: "songs",
      act: () =>
        void call("/song/delete", { id, isDeleted: false }).then(async () => {
          store.dismissNotice();
          await onChanged();
        }),
    });
    onGone();
    await onChanged();
  };

  return (
    <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_400px] max-[1100px]:grid-cols-1 max-[1100px]:grid-rows-[minmax(0,1fr)_minmax(0,38%)]">
      <main aria-label={t`Song`} className="relative flex min-h-0 flex-col">
        <div className="flex shrink-0 flex-wrap items-center gap-2 border-b border-edge bg-raised px-5 py-3">
          <button
            type="button"
            onClick={() => void addToRundown()}
            className="flex min-h-10 items-center gap-2 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright hover:brightness-110"
          >
            <ListPlus aria-hidden="true" className="size-5" /> {t`Add to the rundown`}
          </button>
          <a href={`/files/songs/${encodeURIComponent(id)}`} download className={toolClass}>
            <Download aria-hidden="true" className="size-4.5" /> {t`ChordPro`}
          </a>
          <button type="button" onClick={() => void takeOut()} className={toolClass}>
            <Trash2 aria-hidden="true" className="size-4.5" /> {t`Delete`}
          </button>
          {loaded.versions.length > 1 && (
            <label className="ml-auto flex items-center gap-2 text-[14px] text-second">
              {t`Go back to`}
              <select
                value=""
                onChange={(event) => {
                  const version = loaded.versions.find(
                    ({ revision }) => revision === Number(event.target.value),
                  );
                  if (version) saver.type(version.song);
                }}
                className="min-h-9 rounded-md border border-edge-strong bg-ground px-2 text-[15px] text-paper"
              >
                <option value="">{t`as it was on…`}</option>
                {loaded.versions.slice(1).map(({ revision, atMs }) => (
                  <option key={revision} value={revision}>
                    {formatDay(atMs, locale)}
                  </option>
                ))}
              </select>
            </label>
          )}
        </div>
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys */}
        <div tabIndex={0} className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto px-5 py-4">
          <SongEditor
            id={id}
            doc={doc}
            outfits={outfits}
            compiled={cue.ready && saver.status.kind === "saved" ? cue.ready.content : undefined}
            inLibrary
            onType={(typed: SongDoc) => saver.type(songFieldsOf(typed))}
            onAnchor={setAnchor}
          />
          {problem && <p className="text-[15px] text-attention">{problem.sentence}</p>}
          <SaveLine saver={saver} />
        </div>
        <NoticeBar />
      </main>
      <aside
        aria-label={t`Slides`}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reached by keys
        tabIndex={0}
        className="min-h-0 overflow-y-auto border-l border-edge max-[1100px]:border-t max-[1100px]:border-l-0 bg-raised px-4 py-3"
      >
        <CuePictures cue={{ ...cue, index: desk.cues.length }} anchor={anchor} onAnchor={setAnchor} />
      </aside>
    </div>
  );
}

const toolClass = "flex min-h-10 items-center gap-2 rounded-lg bg-lifted px-3.5 text-[15px] hover:bg-edge";
