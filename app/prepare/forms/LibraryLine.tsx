import { useCallback, useEffect, useState } from "react";
import { t } from "../../../core/language/t.ts";
import type { SongDoc } from "../../../core/rundown/cueDoc.ts";
import { type MergedSong, mergeSongs } from "../../../core/words/mergeSong.ts";
import { type SongFields, songFieldsOf, songOf } from "../../../core/words/songFields.ts";
import { ask, asOutcome, call } from "../../api/call.ts";
import { newId } from "../../api/newId.ts";
import { MergePanel } from "./MergePanel.tsx";

type LibrarySong = { readonly song: SongFields; readonly revision: number };
/** Where nobody kept what the song was, all that differs is asked. */
const EMPTY_SONG = songOf("", "");

const sameSong = (a: SongFields, b: SongFields) =>
  JSON.stringify(songFieldsOf(a)) === JSON.stringify(songFieldsOf(b));

/** How the song of this event stands to the library's, and the ways between them. */
export function LibraryLine({
  doc,
  actor,
  onType,
}: {
  doc: SongDoc;
  actor: string;
  onType: (doc: SongDoc) => void;
}) {
  const songId = doc.source?.songId;
  const revision = doc.source?.revision;
  const [known, setKnown] = useState<LibrarySong | "gone" | null>(null);
  const [problem, setProblem] = useState("");
  const [merged, setMerged] = useState<MergedSong | null>(null);
  const load = useCallback(async () => {
    if (!songId) return setKnown(null);
    const answer = await ask("/song/", songId);
    setKnown("value" in answer ? answer.value : answer.problem.code === "gone" ? "gone" : null);
  }, [songId]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new revision is looked at anew
  useEffect(() => void load(), [load, revision]);

  const save = async (song: SongFields) => {
    const id = songId && known !== "gone" ? songId : newId();
    const baseRevision = known && known !== "gone" ? known.revision : 0;
    const saved = asOutcome(await call("/song/save", { id, actor, song, baseRevision }));
    if (saved.kind === "saved") {
      setProblem("");
      setMerged(null);
      onType({ ...doc, ...song, source: { songId: saved.id, revision: saved.revision } });
      setKnown({ song, revision: saved.revision });
    } else if (saved.kind === "conflict") {
      // It has moved between the look and the press: look again.
      await load();
      setProblem(t`The library’s song changed at this very moment. Look at both, then press again.`);
    } else setProblem(saved.sentence);
  };

  const hasMoved =
    known !== null && known !== "gone" && revision !== undefined && known.revision !== revision;
  /** The library's song as it was when this copy was taken; as it is there now where nobody kept that. */
  const keep = async () => {
    const own = songFieldsOf(doc);
    if (!hasMoved) return save(own);
    const answer = await ask("/song/", `${songId}?versions`);
    const versions = "value" in answer ? answer.value.versions : [];
    const then = versions.find((version) => version.revision <= (revision ?? 0))?.song;
    setMerged(mergeSongs(then ?? EMPTY_SONG, known.song, own));
  };

  const isKept = known !== null && known !== "gone";
  const isSame = isKept && sameSong(doc, known.song);
  return (
    <div className="flex min-h-8 flex-wrap items-center gap-3 text-[14px] text-second">
      {!songId && t`This song is in this rundown only.`}
      {songId && known === "gone" && t`The library’s song was deleted; this copy is whole.`}
      {isSame && t`As in the library. Changes here are for this event.`}
      {isKept && !isSame && !hasMoved && t`Changed for this event; the library’s song is as it was.`}
      {isKept && !isSame && hasMoved && t`Changed for this event; the library’s song has changed too.`}
      {((!songId && doc.text.trim() !== "") || known === "gone" || (isKept && !isSame)) && (
        <button type="button" onClick={() => void keep()} className={buttonClass}>
          {isKept ? t`Keep these changes in the library` : t`Keep it in the library`}
        </button>
      )}
      {isKept && !isSame && (
        <button
          type="button"
          onClick={() =>
            onType({ ...doc, ...known.song, source: { songId: songId as string, revision: known.revision } })
          }
          className={buttonClass}
        >
          {t`Take the library’s`}
        </button>
      )}
      {merged && (
        <MergePanel merged={merged} onSettle={(song) => void save(song)} onClose={() => setMerged(null)} />
      )}
      {problem && <span className="text-attention">{problem}</span>}
    </div>
  );
}

const buttonClass = "min-h-8 rounded-md bg-lifted px-3 text-[14px] text-paper hover:bg-edge";
