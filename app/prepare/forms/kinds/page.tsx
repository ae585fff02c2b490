import type { PageDoc } from "../../../../core/rundown/cueDoc.ts";
import { PageForm } from "../PageForm.tsx";
import { SpeedLine } from "../SpeedLine.tsx";
import type { CueForm, CueFormProps } from "./cueForm.ts";

function Form({ cue, doc, onType }: CueFormProps<PageDoc>) {
  return (
    <>
      <PageForm cueId={cue.view.cueId} doc={doc} onType={onType} />
      <SpeedLine cue={cue} doc={doc} onChange={(adjust) => onType({ ...doc, adjust })} />
    </>
  );
}

export const pageForm: CueForm<PageDoc> = { Form, offers: [] };
