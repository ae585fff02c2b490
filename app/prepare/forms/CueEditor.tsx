import { TriangleAlert } from "lucide-react";
import { useEffect, useRef } from "react";
import type { Anchor } from "../../../core/rundown/anchor.ts";
import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import { kindOf } from "../../../core/rundown/kinds.ts";
import { saveEdit } from "../../api/saveEdit.ts";
import { useDraftSaver } from "../../api/useDraftSaver.ts";
import { useDesk, useDeskStore } from "../../desk/deskContext.ts";
import type { DeskCue } from "../../desk/deskCues.ts";
import { SaveLine } from "../../ui/SaveLine.tsx";
import { AdjustLine } from "./AdjustLine.tsx";
import { CueDetails } from "./CueDetails.tsx";
import { formOf } from "./cueForms.ts";
import { HeldLine, onAirOf } from "./HeldLine.tsx";
import type { CueFormProps } from "./kinds/cueForm.ts";
import { nudge } from "./nudges.ts";
import { ScreensOfCue } from "./ScreensOfCue.tsx";
import { TemplateLine } from "./TemplateLine.tsx";
import { WholeLine } from "./WholeLine.tsx";

/** The chosen cue, opened: its words are edited where they stand and saved as they are typed. */
export function CueEditor({
  cue,
  actor,
  caretAt,
  onAnchor,
}: {
  cue: DeskCue;
  actor: string;
  /** The step whose line the caret begins at. */
  caretAt?: Anchor;
  onAnchor: (anchor: Anchor | null) => void;
}) {
  const { cueId } = cue.view;
  const saver = useDraftSaver("cue", cueId, cue.view, (doc, baseRevision) =>
    saveEdit(actor, { kind: "changeCue", cueId, doc, baseRevision }),
  );
  const { draft } = saver;
  const { state, outfits } = useDesk("state", "outfits");
  const store = useDeskStore();
  const seenIn = cue.ready?.content.stepsBy;
  const seen = seenIn ? outfits.filter(({ id }) => seenIn.includes(id)) : outfits;
  const { Form, Foot } = formOf(draft);
  const { bringsPage, isTaken, fieldSetOf } = kindOf(draft);
  const fieldSet = fieldSetOf(draft);
  const form: CueFormProps<CueDoc> = {
    cue,
    doc: draft,
    outfits,
    seen,
    isSaved: saver.status.kind === "saved",
    actor,
    caretAt,
    onType: (doc) => saver.type(doc),
    onAnchor,
  };
  const problem = "problem" in cue.view.compiled ? cue.view.compiled.problem : undefined;
  const onAir = onAirOf(state, cueId, store.now());
  const send = () => void saver.flush().then(() => store.air.press({ kind: "send", layerId: null }));
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
      <Form {...form} />
      {fieldSet !== null && (
        <TemplateLine
          cueId={cueId}
          fieldSet={fieldSet}
          template={draft.template}
          outfits={outfits}
          onChange={(template) => saver.type({ ...draft, template })}
        />
      )}
      {bringsPage && (
        <AdjustLine cue={cue} doc={draft} onChange={(adjust) => saver.type({ ...draft, adjust })} />
      )}
      {bringsPage && <WholeLine whole={draft.whole} onChange={(whole) => saver.type({ ...draft, whole })} />}
      {isTaken && (
        <ScreensOfCue cue={cue} doc={draft} onChange={(change) => saver.type({ ...draft, ...change })} />
      )}
      <CueDetails id={cueId} doc={draft} onChange={(change) => saver.type({ ...draft, ...change })} />
      {problem && (
        <p className="flex items-start gap-2.5 text-[15px] text-attention">
          <TriangleAlert aria-hidden="true" className="mt-0.5 size-5 shrink-0" />
          {problem.sentence}
        </p>
      )}
      <div className="flex flex-wrap items-center justify-between gap-x-6">
        <SaveLine saver={saver} />
        {Foot && <Foot {...form} />}
      </div>
    </div>
  );
}
