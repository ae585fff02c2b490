import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";

const draft = defineFinding<{ readonly template: string }>(
  "draftTemplate",
  "note",
  ({ template }) =>
    t`“${template}” has changes in Design that are not published: the page does not wear them yet.`,
);

/** A page whose template is being worked on. */
export const draftTemplate: Check = {
  code: draft.code,
  name: t`Templates with unpublished changes`,
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
