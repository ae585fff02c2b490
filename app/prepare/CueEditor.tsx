import { TriangleAlert } from "lucide-react";
import type { Anchor } from "../../core/rundown/anchor.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import type { DeskCue } from "../desk/deskStore.ts";
import type { DeskOutfit } from "../desk/outfit.ts";
import { SaveLine } from "../ui/SaveLine.tsx";
import { useDraftSaver } from "../ui/useDraftSaver.ts";
import { LibraryLine } from "./LibraryLine.tsx";
import { PageForm } from "./PageForm.tsx";
import { ReadingForm } from "./ReadingForm.tsx";
import { ScreensOfCue } from "./ScreensOfCue.tsx";
import { SongEditor } from "./SongEditor.tsx";
import { saveEdit } from "./saveEdit.ts";

/** The chosen cue, opened: its words are edited where they stand and saved as they are typed. */
export function CueEditor({
  cue,
  outfits,
  actor,
  onAnchor,
}: {
  cue: DeskCue;
  outfits: readonly DeskOutfit[];
  actor: string;
  onAnchor: (anchor: Anchor | null) => void;
}) {
  const { cueId } = cue.view;
  const saver = useDraftSaver<CueDoc>(cue.view, (doc, baseRevision) =>
    saveEdit(actor, { kind: "changeCue", cueId, doc, baseRevision }),
  );
  const { draft } = saver;
  const seenIn = cue.ready?.content.stepsBy;
  const seen = seenIn ? outfits.filter(({ id }) => seenIn.includes(id)) : outfits;
  const problem = "problem" in cue.view.compiled ? cue.view.compiled.problem : undefined;
  return (
    <div className="flex flex-col gap-3">
      {draft.kind === "page" && (
        <PageForm cueId={cueId} doc={draft} outfits={outfits} onType={(doc) => saver.type(doc)} />
      )}
      {draft.kind === "song" && (
        <SongEditor
          id={cueId}
          doc={draft}
          outfits={seen}
          compiled={saver.status.kind === "saved" ? cue.ready?.content : undefined}
          onType={(doc) => saver.type(doc)}
          onAnchor={onAnchor}
        />
      )}
      {draft.kind === "reading" && (
        <ReadingForm
          cue={cue}
          doc={draft}
          outfits={seen}
          onType={(doc) => saver.type(doc)}
          onAnchor={onAnchor}
        />
      )}
      <ScreensOfCue cue={cue} doc={draft} onChange={(change) => saver.type({ ...draft, ...change })} />
      {problem && (
        <p className="flex items-start gap-2.5 text-[15px] text-attention">
          <TriangleAlert aria-hidden="true" className="mt-0.5 size-5 shrink-0" />
          {problem}
        </p>
      )}
      <div className="flex flex-wrap items-center justify-between gap-x-6">
        <SaveLine saver={saver} />
        {draft.kind === "song" && <LibraryLine doc={draft} actor={actor} onType={(doc) => saver.type(doc)} />}
      </div>
    </div>
  );
}
