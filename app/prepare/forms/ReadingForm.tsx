import { t } from "../../../core/language/t.ts";
import type { Anchor } from "../../../core/rundown/anchor.ts";
import type { ReadingDoc } from "../../../core/rundown/cueDoc.ts";
import { LEAVE_ANCHOR, stepsOf } from "../../../core/rundown/steps.ts";
import type { DeskOutfit } from "../../../core/wire/deskDesigns.ts";
import type { DeskCue } from "../../desk/deskCues.ts";
import { useDeskData } from "../../desk/useDeskData.ts";
import { editorId } from "./editorId.ts";
import { ReadingChoices } from "./ReadingChoices.tsx";
import { ReadingSlides } from "./ReadingSlides.tsx";
import { ReadingSource } from "./ReadingSource.tsx";

/** A reading: its reference, the text or two texts it is read from, and what stands around the words. */
export function ReadingForm({
  cue,
  doc,
  outfits,
  onType,
  onAnchor,
}: {
  cue: DeskCue;
  doc: ReadingDoc;
  outfits: readonly DeskOutfit[];
  onType: (doc: ReadingDoc) => void;
  onAnchor: (anchor: Anchor | null) => void;
}) {
  const { texts } = useDeskData();
  const id = editorId(cue.view.cueId);
  const flow = cue.ready?.content.flow;
  const offered = texts.some(({ code }) => code === doc.text)
    ? texts
    : [...texts, { code: doc.text, name: t`${doc.text} (not here)`, language: "" }];
  return (
    <>
      <ReadingSource id={id} doc={doc} offered={offered} onType={onType} />
      <ReadingChoices id={id} doc={doc} texts={texts} onType={onType} />
      {flow && <ReadingSlides doc={doc} flow={flow} outfits={outfits} onType={onType} onAnchor={onAnchor} />}
      {cue.ready && (
        <p className="text-[14px] text-second">
          {t`${
            stepsOf(cue.ready.content).filter(({ anchor }) => anchor.occurrence !== LEAVE_ANCHOR.occurrence)
              .length
          } steps ·`}{" "}
          {offered.find(({ code }) => code === doc.text)?.name}
        </p>
      )}
    </>
  );
}
