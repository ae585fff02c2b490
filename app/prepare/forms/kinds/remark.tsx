import { Heading, StickyNote } from "lucide-react";
import { t } from "../../../../core/language/t.ts";
import { type RemarkDoc, remarkCue } from "../../../../core/rundown/cueDoc.ts";
import { RemarkForm } from "../RemarkForm.tsx";
import type { CueForm, CueFormProps } from "./cueForm.ts";

function Form({ cue, doc, onType }: CueFormProps<RemarkDoc>) {
  return <RemarkForm cueId={cue.view.cueId} doc={doc} onType={onType} />;
}

export const remarkForm: CueForm<RemarkDoc> = {
  Form,
  offers: [
    { name: t`Heading`, Icon: Heading, make: () => remarkCue({ isHeading: true }) },
    { name: t`Remark`, Icon: StickyNote, make: () => remarkCue({}) },
  ],
};
