import { useState } from "react";
import { t } from "../../core/language/t.ts";
import { songCue } from "../../core/rundown/cueDoc.ts";
import { keepSong } from "../../core/words/reader/keepSong.ts";
import { type SongFields, songFieldsOf } from "../../core/words/songFields.ts";
import { asOutcome, call } from "../api/call.ts";
import { newId } from "../api/newId.ts";
import { SongReview } from "../review/SongReview.tsx";
import { useReview } from "../review/useReview.ts";

/** A song of a file that was read with doubts. */
export interface SongToLookAt {
  readonly text: string;
  /** Its title, or what its file is called. */
  readonly title: string;
}

/** Songs of an import that want a look before they are added, one after another; the rest are in the library. */
export function ImportReview({
  songs,
  actor,
  onAdded,
  onDone,
}: {
  songs: readonly SongToLookAt[];
  actor: string;
  onAdded: (id: string) => void;
  onDone: () => void;
}) {
  const [at, setAt] = useState(0);
  const [problem, setProblem] = useState("");
  const song = songs[at];
  const goOn = () => {
    setProblem("");
    if (at + 1 < songs.length) setAt(at + 1);
    else onDone();
  };
  const add = async (fields: SongFields) => {
    const saved = asOutcome(await call("/song/save", { id: newId(), actor, song: fields, baseRevision: 0 }));
    if (saved.kind === "saved") {
      onAdded(saved.id);
      goOn();
    } else setProblem(saved.sentence);
  };
  if (!song) return null;
  return (
    <main
      aria-label={t`Songs to look at`}
      className="relative flex min-h-0 flex-col overflow-y-auto px-5 py-4"
    >
      <p className="text-[15px] text-second">
        {songs.length === 1
          ? t`This song wants a look before it is added.`
          : t`Song ${at + 1} of ${songs.length} that want a look before they are added.`}
      </p>
      <OneSong key={at} song={song} onAdd={add} onLeave={goOn} />
      {problem && <p className="mt-2 text-[15px] text-attention">{problem}</p>}
    </main>
  );
}

function OneSong({
  song,
  onAdd,
  onLeave,
}: {
  song: SongToLookAt;
  onAdd: (fields: SongFields) => Promise<void>;
  onLeave: () => void;
}) {
  const [text, setText] = useState(song.text);
  const review = useReview(text);
  const { reading } = review;
  if (!reading) return null;
  const finished = (): SongFields => {
    const kept = keepSong(review.text, reading, review.told);
    const hasTitle = reading.lines.some(({ kind }) => kind === "title");
    const doc = review.complete(songCue({ ...kept, title: hasTitle ? kept.title : song.title }));
    return songFieldsOf(doc.kind === "song" ? doc : kept);
  };
  return (
    <>
      <SongReview
        text={review.text}
        reading={reading}
        told={review.told}
        onTell={review.tell}
        onAccept={(offer) => {
          const changed = review.accept(offer);
          if (changed !== undefined) setText(changed);
        }}
      />
      {review.accepted !== "" && (
        <p role="status" className="mt-1.5 text-[14px] text-act">
          {review.accepted}
        </p>
      )}
      <p className="mt-3 flex gap-3">
        <button
          type="button"
          onClick={() => void onAdd(finished())}
          className="min-h-11 rounded-lg bg-act px-4 text-[15px] font-bold text-on-bright hover:brightness-110"
        >
          {t`Add to the library`}
        </button>
        <button
          type="button"
          onClick={onLeave}
          className="min-h-11 rounded-lg bg-lifted px-4 text-[15px] hover:bg-edge"
        >
          {t`Leave it out`}
        </button>
      </p>
    </>
  );
}
