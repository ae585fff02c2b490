import { Hand } from "lucide-react";
import { t } from "../../../../core/language/t.ts";
import { type ActionDoc, actionCue } from "../../../../core/rundown/cueDoc.ts";
import { ActionForm } from "../ActionForm.tsx";
import type { CueForm, CueFormProps } from "./cueForm.ts";

function Form({ cue, doc, onType }: CueFormProps<ActionDoc>) {
  return <ActionForm cueId={cue.view.cueId} doc={doc} onType={onType} />;
}

export const actionForm: CueForm<ActionDoc> = {
  Form,
  offers: [{ name: t`Action or wait`, Icon: Hand, make: () => actionCue({}) }],
};
