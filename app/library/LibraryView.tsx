import { Upload } from "lucide-react";
import { useState } from "react";
import { useRevalidator } from "react-router";
import type { ChromaKey } from "../../core/picture/chromaKey.ts";
import { call } from "../api/call.ts";
import type { LibraryData } from "../api/loaded.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { NoticeBar } from "../desk/NoticeBar.tsx";
import { MediaPicture, mediaFacts } from "../pictures/MediaPicture.tsx";
import { bringIn } from "./bringIn.ts";
import { KeyControls } from "./KeyControls.tsx";

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
  const chosen = items.find(({ id }) => id === chosenId);

  const take = async (files: FileList | null) => {
    for (const file of files ?? []) {
      setSending({ name: file.name, share: 0, callOff: () => {} });
      const result = await bringIn(file, (share, callOff) => setSending({ name: file.name, share, callOff }));
      if ("problem" in result) store.say("trouble", result.problem.sentence);
      else if (result.value.item) setChosenId(result.value.item.id);
    }
    setSending(null);
    await revalidate();
  };
  const remove = async (kind: "media" | "font", id: string, name: string) => {
    const answer = await call("/library-remove", { kind, id });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    else store.say("word", `“${name}” is deleted from the library. What is on air keeps it.`);
    await revalidate();
  };
  const saveKey = async (id: string, key: ChromaKey | null) => {
    const answer = await call("/library-key", { id, key });
    if ("problem" in answer) store.say("trouble", answer.problem.sentence);
    await revalidate();
  };

  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_480px] max-[1100px]:grid-cols-1 max-[1100px]:grid-rows-[minmax(0,1fr)_minmax(0,38%)]">
      <main
        aria-label="Library"
        className="relative min-h-0 overflow-y-auto px-5 py-4"
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          void take(event.dataTransfer.files);
        }}
      >
        <div className="mb-4 flex items-center gap-4">
          <label className="inline-flex min-h-11 cursor-pointer items-center gap-2 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-act hover:brightness-110">
            <Upload aria-hidden="true" className="size-4.5" />
            Import files
            <input
              type="file"
              multiple
              accept="image/png,image/jpeg,image/webp,image/avif,image/gif,video/webm,video/mp4,audio/*,.ttf,.otf"
              className="sr-only"
              onChange={(event) => void take(event.target.files)}
            />
          </label>
          <p className="text-[15px] text-second">
            or drop them here: pictures, WebM and MP4 clips, sounds, TTF and OTF fonts.
          </p>
        </div>
        {sending && (
          <div
            role="status"
            className="mb-4 flex items-center gap-4 rounded-lg border border-edge px-4 py-2.5 text-[15px]"
          >
            <span className="min-w-0 flex-1 truncate">
              {sending.share < 1 ? "Bringing in" : "Looking through"} {sending.name}
            </span>
            <progress
              aria-label="Progress"
              className="h-2 w-60 accent-act"
              value={sending.share < 1 ? sending.share : undefined}
            />
            <button
              type="button"
              onClick={sending.callOff}
              className="min-h-9 rounded-md bg-lifted px-3 hover:bg-edge"
            >
              Call it off
            </button>
          </div>
        )}
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(210px,1fr))] gap-3">
          {items.map(({ id, info, usedBy }) => (
            <li key={id}>
              <button
                type="button"
                aria-pressed={id === chosenId}
                onClick={() => setChosenId(id)}
                className={`w-full rounded-lg border-2 p-2 text-left ${id === chosenId ? "border-act bg-act-ground" : "border-edge hover:border-edge-strong"}`}
              >
                <MediaPicture info={info} />
                <span className="mt-2 block truncate text-[15px] font-semibold">{info.name}</span>
                <span className="block font-mono text-[14px] text-second">{mediaFacts(info)}</span>
                <span className="block text-[14px] text-second">
                  {usedBy.length === 0
                    ? "not used"
                    : `in ${usedBy.length} ${usedBy.length === 1 ? "cue" : "cues"}`}
                </span>
              </button>
            </li>
          ))}
        </ul>
        {items.length === 0 && <p className="font-words text-[20px]">Nothing is here yet.</p>}
        {fonts.length > 0 && (
          <section aria-label="Fonts added" className="mt-6 max-w-2xl text-[15px]">
            <h2 className="font-semibold">Fonts added</h2>
            <p className="text-second">
              Every window has them. Choose them for words, titles and figures in Design.
            </p>
            <ul className="mt-2 flex flex-col gap-1.5">
              {fonts.map(({ id, name }) => (
                <li key={id} className="flex items-center gap-3">
                  <span className="min-w-0 flex-1 truncate">{name}</span>
                  <button
                    type="button"
                    onClick={() => void remove("font", id, name)}
                    className="min-h-8 rounded-md bg-lifted px-3 hover:bg-edge"
                  >
                    Delete<span className="sr-only"> {name}</span>
                  </button>
                </li>
              ))}
            </ul>
          </section>
        )}
        <NoticeBar />
      </main>
      <aside
        aria-label="Chosen"
        className="min-h-0 overflow-y-auto border-l border-edge max-[1100px]:border-t max-[1100px]:border-l-0 bg-raised px-4 py-4"
      >
        {!chosen && (
          <p className="text-[15px] text-second">Choose a picture, clip or sound to see more of it.</p>
        )}
        {chosen && (
          <>
            <h2 className="text-[17px] font-semibold">{chosen.info.name}</h2>
            <p className="mb-3 font-mono text-[14px] text-second">{mediaFacts(chosen.info)}</p>
            {chosen.info.type === "video" ? (
              <KeyControls
                key={chosen.id}
                info={chosen.info}
                onSave={(key) => void saveKey(chosen.id, key)}
              />
            ) : (
              <MediaPicture info={chosen.info} />
            )}
            {chosen.info.type === "sound" && (
              // biome-ignore lint/a11y/useMediaCaption: a sound of the show, to be heard by whoever prepares it
              <audio controls src={`/media/${chosen.info.file}`} className="mt-3 w-full" />
            )}
            {chosen.info.isAnimated && (
              <p className="mt-3 text-[15px] text-attention">
                This picture moves, and only its first picture is shown. Save it as a WebM clip to have it
                move.
              </p>
            )}
            {chosen.info.type === "video" && !chosen.info.hasAlpha && !chosen.info.key && (
              <p className="mt-3 text-[15px] text-attention">
                This clip has no alpha: over a picture it covers it. Cut its background out, or use it as a
                backdrop.
              </p>
            )}
            {chosen.usedBy.length > 0 && (
              <p className="mt-4 text-[15px] text-second">
                Used in {chosen.usedBy.map((title) => `“${title}”`).join(", ")}. A change reaches them at
                their next take.
              </p>
            )}
            <button
              type="button"
              onClick={() => void remove("media", chosen.id, chosen.info.name)}
              className="mt-4 min-h-9 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge"
            >
              Delete from the library
            </button>
            {chosen.usedBy.length > 0 && (
              <p className="mt-1.5 text-[14px] text-second">
                The cues named above would show a stand-in from their next take.
              </p>
            )}
          </>
        )}
      </aside>
    </div>
  );
}
