import { Music } from "lucide-react";
import { t } from "../../../../core/language/t.ts";
import { type SongDoc, songCue } from "../../../../core/rundown/cueDoc.ts";
import { LibraryLine } from "../LibraryLine.tsx";
import { SongEditor } from "../SongEditor.tsx";
import type { CueForm, CueFormProps } from "./cueForm.ts";

function Form({ cue, doc, seen, isSaved, caretAt, onType, onAnchor }: CueFormProps<SongDoc>) {
  return (
    <SongEditor
      id={cue.view.cueId}
      doc={doc}
      outfits={seen}
      {...(caretAt && { caretAt })}
      compiled={isSaved ? cue.ready?.content : undefined}
      onType={(fields) => onType({ ...doc, ...fields })}
      onAnchor={onAnchor}
    />
  );
}

function Foot({ doc, actor, onType }: CueFormProps<SongDoc>) {
  return <LibraryLine doc={doc} actor={actor} onType={onType} />;
}

export const songForm: CueForm<SongDoc> = {
  Form,
  Foot,
  offers: [{ name: t`Song`, Icon: Music, make: () => songCue({ title: "", text: "" }) }],
};
