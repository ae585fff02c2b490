import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import { stepsOf } from "../../rundown/steps.ts";
import type { Check } from "../check.ts";
import { plansUsed } from "../plansUsed.ts";

const nothingHere = defineFinding<{
  readonly screen: string;
  readonly outfit: string;
  readonly kind: string;
}>(
  "nothingHere",
  "note",
  ({ screen, outfit }) =>
    t`${screen} shows nothing of it: its outfit, “${outfit}”, has no template for words like these.`,
);

/** A screen that stays without the words of a song or a reading while it shows others' of that layer. */
export const nothingHereCheck: Check = {
  code: nothingHere.code,
  name: t`Screens with nothing for a cue`,
  cue: ({ cue, evening }) => {
    const { made, cueId } = cue;
    if (!made?.content.flow || stepsOf(made.content).length === 0) return [];
    const { content } = made;
    return plansUsed(evening).flatMap((plan) =>
      evening.outputs.flatMap(({ id, name }) => {
        const planned = plan.outputs[id];
        if (!planned?.layerIds.includes(content.layerId)) return [];
        if (content.only && !content.only.includes(id)) return [];
        if (content.plan && content.plan.id !== plan.id) return [];
        if (content.wardrobe[planned.outfitId] !== undefined) return [];
        const outfit = evening.outfits.find((each) => each.id === planned.outfitId)?.name ?? planned.outfitId;
        return [
          {
            finding: nothingHere(cueSubject(cueId), { screen: name, outfit, kind: content.cueKind }, id),
            ...{ cueId, outputId: id },
          },
        ];
      }),
    );
  },
};
