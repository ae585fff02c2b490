import { cueSubject, defineFinding } from "../../findings/finding.ts";
import type { CueDoc } from "../../rundown/cueDoc.ts";
import { kindOf } from "../../rundown/kinds.ts";
import type { Check } from "../check.ts";
import { changing } from "../mend.ts";

const draft = defineFinding<{ readonly template: string }>(
  "draftTemplate",
  "note",
  ({ template }) =>
    `“${template}” has changes in Design that are not published: the page does not wear them yet.`,
);

/** A page whose template is being worked on. */
export const draftTemplate: Check = {
  code: draft.code,
  name: "Templates with unpublished changes",
  page: ({ page, evening }) => {
    const worn = evening.outfits
      .find(({ id }) => id === page.outfitId)
      ?.templates[page.template.fieldSet]?.find(
        ({ key }) => key === (page.template.id || page.template.name),
      );
    if (!worn?.hasDraft) return [];
    return [
      {
        finding: draft(cueSubject(page.cue.cueId), { template: worn.name }, worn.key),
        ...{ cueId: page.cue.cueId, step: page.anchor, outputId: page.output.id },
      },
    ];
  },
};

const gone = defineFinding<{ readonly template: string }>(
  "goneTemplate",
  "warning",
  ({ template }) =>
    `The template that was chosen for it (${template}) is offered by no outfit any more: it wears the usual one.`,
);

/** A page whose own template is not there. */
export const goneTemplate: Check = {
  code: gone.code,
  name: "Templates that are gone",
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
        mends: [changing(cue, "Wear the usual one", { template: null } as Partial<CueDoc>)],
      },
    ];
  },
};
