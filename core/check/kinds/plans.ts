import { cueSubject, defineFinding } from "../../findings/finding.ts";
import type { CueDoc } from "../../rundown/cueDoc.ts";
import { stepsOf } from "../../rundown/steps.ts";
import type { Check } from "../check.ts";
import { changing } from "../mend.ts";
import { plansUsed } from "../plansUsed.ts";

const leftBehind = defineFinding<{ readonly plan: string; readonly usual: string; readonly cues: number }>(
  "planLeftBehind",
  "warning",
  ({ plan, usual, cues }) =>
    `The ${cues} cues after it run under “${plan}”: none of them asks for “${usual}” again.`,
);

/** A plan that a cue brings and no later one takes back. */
export const planLeftBehind: Check = {
  code: leftBehind.code,
  name: "Plans that are left behind",
  evening: ({ evening, moments }) => {
    const last = moments.at(-1);
    if (!last || last.planId === evening.planId) return [];
    const since = moments.findLastIndex(({ planId }) => planId !== last.planId) + 1;
    const from = moments[since];
    const after = moments.slice(since).find(({ cue }) => cue.cueId !== from?.cue.cueId);
    const nameOf = (id: string) => evening.plans.find((plan) => plan.id === id)?.name ?? id;
    if (!from || !after) return [];
    const cues = new Set(moments.slice(since).map(({ cue }) => cue.cueId)).size - 1;
    return [
      {
        finding: leftBehind(
          cueSubject(from.cue.cueId),
          { plan: nameOf(last.planId), usual: nameOf(evening.planId), cues },
          last.planId,
        ),
        cueId: from.cue.cueId,
        mends: [
          changing(after.cue, `Set “${nameOf(evening.planId)}” again with the next cue`, {
            plan: { id: evening.planId, otherwise: "switch" },
          } as Partial<CueDoc>),
        ],
      },
    ];
  },
};

const goneFinding = defineFinding<{ readonly plan: string }>(
  "gonePlan",
  "fault",
  ({ plan }) => `It asks for a screen plan that is not there any more (${plan}).`,
);

/** A cue that needs a plan which was deleted. */
export const gonePlan: Check = {
  code: goneFinding.code,
  name: "Plans that are gone",
  cue: ({ cue, evening }) => {
    const { doc, cueId } = cue;
    const asked = [...(doc.plan ? [doc.plan.id] : []), ...doc.stepPlans.map(({ planId }) => planId)];
    const missing = asked.filter((id) => !evening.plans.some((plan) => plan.id === id));
    return [...new Set(missing)].map((plan) => ({
      finding: goneFinding(cueSubject(cueId), { plan }, plan),
      cueId,
      mends: [
        changing(cue, "Let it take any plan", {
          plan: doc.plan?.id === plan ? null : doc.plan,
          stepPlans: doc.stepPlans.filter(({ planId }) => planId !== plan),
        } as Partial<CueDoc>),
      ],
    }));
  },
};

const nowhere = defineFinding<Record<string, never>>(
  "shownNowhere",
  "fault",
  () => "No screen shows it under any plan of this evening: taking it changes nothing that anybody sees.",
);

/** A cue that no plan shows. */
export const shownNowhere: Check = {
  code: nowhere.code,
  name: "Cues that no screen shows",
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

const nothingHere = defineFinding<{
  readonly screen: string;
  readonly outfit: string;
  readonly kind: string;
}>(
  "nothingHere",
  "note",
  ({ screen, outfit }) =>
    `${screen} shows nothing of it: its outfit, “${outfit}”, has no template for words like these.`,
);

/** A screen that stays without the words of a song or a reading while it shows others' of that layer. */
export const nothingHereCheck: Check = {
  code: nothingHere.code,
  name: "Screens with nothing for a cue",
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
