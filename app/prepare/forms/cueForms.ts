import type { CueDoc } from "../../../core/rundown/cueDoc.ts";
import { actionForm } from "./kinds/action.tsx";
import type { CueForm, CueForms, OfferedCue } from "./kinds/cueForm.ts";
import { pageForm } from "./kinds/page.tsx";
import { readingForm } from "./kinds/reading.tsx";
import { remarkForm } from "./kinds/remark.tsx";
import { songForm } from "./kinds/song.tsx";

/** The form of each kind of cue. */
const CUE_FORMS: CueForms = {
  page: pageForm,
  song: songForm,
  reading: readingForm,
  action: actionForm,
  remark: remarkForm,
};

/** Empty cues that the menu offers besides pages. */
export const OFFERED_CUES: readonly OfferedCue<CueDoc>[] = Object.values(CUE_FORMS).flatMap(
  ({ offers }): readonly OfferedCue<CueDoc>[] => offers,
);

/** The form for a cue; it takes the cue itself. */
export const formOf = <D extends CueDoc>({ kind }: D): CueForm<D> => CUE_FORMS[kind] as unknown as CueForm<D>;
