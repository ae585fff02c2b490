import { TriangleAlert } from "lucide-react";
import { useEffect, useRef } from "react";
import type { Anchor } from "../../core/rundown/anchor.ts";
import type { CueDoc } from "../../core/rundown/cueDoc.ts";
import { useDesk, useDeskStore } from "../desk/deskContext.ts";
import type { DeskCue } from "../desk/deskCues.ts";
import type { DeskOutfit } from "../desk/outfit.ts";
import { SaveLine } from "../ui/SaveLine.tsx";
import { useDraftSaver } from "../ui/useDraftSaver.ts";
import { ActionForm } from "./ActionForm.tsx";
import { AdjustLine } from "./AdjustLine.tsx";
import { CueDetails } from "./CueDetails.tsx";
import { HeldLine, onAirOf } from "./HeldLine.tsx";
import { LibraryLine } from "./LibraryLine.tsx";
import { nudge } from "./nudges.ts";
import { PageForm } from "./PageForm.tsx";
import { ReadingForm } from "./ReadingForm.tsx";
import { RemarkForm } from "./RemarkForm.tsx";
import { ScreensOfCue } from "./ScreensOfCue.tsx";
import { SongEditor } from "./SongEditor.tsx";
import { SpeedLine } from "./SpeedLine.tsx";
import { saveEdit } from "./saveEdit.ts";
import { WholeLine } from "./WholeLine.tsx";

/** The chosen cue, opened: its words are edited where they stand and saved as they are typed. */
export function CueEditor({
  cue,
  outfits,
  actor,
  caretAt,
  onAnchor,
}: {
  cue: DeskCue;
  outfits: readonly DeskOutfit[];
  actor: string;
  /** The step whose line the caret begins at. */
  caretAt?: Anchor;
  onAnchor: (anchor: Anchor | null) => void;
}) {
  const { cueId } = cue.view;
  const saver = useDraftSaver<CueDoc>(`cue/${cueId}`, cue.view, (doc, baseRevision) =>
    saveEdit(actor, { kind: "changeCue", cueId, doc, baseRevision }),
  );
  const { draft } = saver;
  const { state } = useDesk();
  const store = useDeskStore();
  const seenIn = cue.ready?.content.stepsBy;
  const seen = seenIn ? outfits.filter(({ id }) => seenIn.includes(id)) : outfits;
  const problem = "problem" in cue.view.compiled ? cue.view.compiled.problem : undefined;
  const onAir = onAirOf(state, cueId, store.now());
  const send = () => void saver.flush().then(() => store.press({ kind: "send", layerId: null }));
  const chord = useRef<(event: KeyboardEvent) => void>(undefined);
  chord.current = (event) => {
    if (event.key.toLowerCase() !== "s" || !event.ctrlKey || !event.shiftKey || onAir.length === 0) return;
    event.preventDefault();
    // What was typed a moment ago goes along.
    send();
  };
  const editor = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const hear = (event: KeyboardEvent) => chord.current?.(event);
    window.addEventListener("keydown", hear, { capture: true });
    return () => window.removeEventListener("keydown", hear, { capture: true });
  }, []);
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the nudges work in every field of the cue
    <div
      ref={editor}
      className="flex flex-col gap-3"
      onKeyDown={(event) => {
        const field = event.target instanceof HTMLElement ? event.target.dataset.field : undefined;
        const adjust = field === undefined ? undefined : nudge(draft.adjust, field, event);
        if (!adjust) return;
        event.preventDefault();
        saver.type({ ...draft, adjust });
      }}
    >
      <HeldLine cue={cue} onAir={onAir} isSaved={saver.status.kind === "saved"} onSend={send} />
      {draft.kind === "page" && (
        <PageForm cueId={cueId} doc={draft} outfits={outfits} onType={(doc) => saver.type(doc)} />
      )}
      {draft.kind === "page" && (
        <SpeedLine cue={cue} doc={draft} onChange={(adjust) => saver.type({ ...draft, adjust })} />
      )}
      {draft.kind === "song" && (
        <SongEditor
          id={cueId}
          doc={draft}
          outfits={seen}
          {...(caretAt && { caretAt })}
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
      {draft.kind === "action" && <ActionForm cueId={cueId} doc={draft} onType={(doc) => saver.type(doc)} />}
      {draft.kind === "remark" && <RemarkForm cueId={cueId} doc={draft} onType={(doc) => saver.type(doc)} />}
      {(draft.kind === "page" || Object.keys(draft.adjust).length > 0) && (
        <AdjustLine doc={draft} onChange={(adjust) => saver.type({ ...draft, adjust })} />
      )}
      {draft.kind !== "remark" && draft.kind !== "action" && (
        <WholeLine whole={draft.whole} onChange={(whole) => saver.type({ ...draft, whole })} />
      )}
      {draft.kind !== "remark" && (
        <ScreensOfCue cue={cue} doc={draft} onChange={(change) => saver.type({ ...draft, ...change })} />
      )}
      <CueDetails id={cueId} doc={draft} onChange={(change) => saver.type({ ...draft, ...change })} />
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
