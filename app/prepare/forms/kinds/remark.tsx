import { Heading, StickyNote } from "lucide-react";
import { type RemarkDoc, remarkCue } from "../../../../core/rundown/cueDoc.ts";
import { RemarkForm } from "../RemarkForm.tsx";
import type { CueForm, CueFormProps } from "./cueForm.ts";

function Form({ cue, doc, onType }: CueFormProps<RemarkDoc>) {
  return <RemarkForm cueId={cue.view.cueId} doc={doc} onType={onType} />;
}

export const remarkForm: CueForm<RemarkDoc> = {
  Form,
  offers: [
    { name: "Heading", Icon: Heading, make: () => remarkCue({ isHeading: true }) },
    { name: "Remark", Icon: StickyNote, make: () => remarkCue({}) },
  ],
};
