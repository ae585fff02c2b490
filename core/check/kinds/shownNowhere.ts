import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { Check } from "../check.ts";
import { plansUsed } from "../plansUsed.ts";

const nowhere = defineFinding<Record<string, never>>(
  "shownNowhere",
  "fault",
  () => t`No screen shows it under any plan of this evening: taking it changes nothing that anybody sees.`,
);

/** A cue that no plan shows. */
export const shownNowhere: Check = {
  code: nowhere.code,
  name: t`Cues that no screen shows`,
  cue: ({ cue, evening }) => {
    if (!cue.made || cue.made.content.action || cue.made.content.layerId === "") return [];
    const { content } = cue.made;
    const own = content.plan ? evening.plans.filter(({ id }) => id === content.plan?.id) : plansUsed(evening);
    // That its plan is gone is another finding.
    if (own.length === 0) return [];
    const isShown = own.some((plan) =>
      evening.outputs.some(({ id }) => {
        const planned = plan.outputs[id];
        return (
          planned?.layerIds.includes(content.layerId) &&
          content.wardrobe[planned.outfitId] !== undefined &&
          (content.only === null || content.only.includes(id))
        );
      }),
    );
    return isShown ? [] : [{ finding: nowhere(cueSubject(cue.cueId), {}), cueId: cue.cueId }];
  },
};
