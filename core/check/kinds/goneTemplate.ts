import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { CueDoc } from "../../rundown/cueDoc.ts";
import { kindOf } from "../../rundown/kinds.ts";
import type { Check } from "../check.ts";
import { changing } from "../mend.ts";

const gone = defineFinding<{ readonly template: string }>(
  "goneTemplate",
  "warning",
  ({ template }) =>
    t`The template that was chosen for it (${template}) is offered by no outfit any more: it wears the usual one.`,
);

/** A page whose own template is not there. */
export const goneTemplate: Check = {
  code: gone.code,
  name: t`Templates that are gone`,
  cue: ({ cue, evening }) => {
    const { doc, cueId } = cue;
    const fieldSet = kindOf(doc).fieldSetOf(doc);
    if (doc.template === null || doc.isOff || fieldSet === null) return [];
    const isOffered = evening.outfits.some(({ templates }) =>
      templates[fieldSet]?.some(({ key, name }) => key === doc.template || name === doc.template),
    );
    if (isOffered) return [];
    return [
      {
        finding: gone(cueSubject(cueId), { template: doc.template }, "template"),
        cueId,
        mends: [changing(cue, t`Wear the usual one`, { template: null } as Partial<CueDoc>)],
      },
    ];
  },
};
