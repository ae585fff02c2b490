import { FileText } from "lucide-react";
import { t } from "../../../../core/language/t.ts";
import { type ReadingDoc, readingCue } from "../../../../core/rundown/cueDoc.ts";
import { ReadingForm } from "../ReadingForm.tsx";
import type { CueForm, CueFormProps } from "./cueForm.ts";

function Form({ cue, doc, seen, onType, onAnchor }: CueFormProps<ReadingDoc>) {
  return <ReadingForm cue={cue} doc={doc} outfits={seen} onType={onType} onAnchor={onAnchor} />;
}

export const readingForm: CueForm<ReadingDoc> = {
  Form,
  offers: [{ name: t`Reading`, Icon: FileText, make: () => readingCue({ reference: "", text: "web" }) }],
};
