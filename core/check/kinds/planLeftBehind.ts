import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { CueDoc } from "../../rundown/cueDoc.ts";
import type { Check } from "../check.ts";
import { changing } from "../mend.ts";

const leftBehind = defineFinding<{ readonly plan: string; readonly usual: string; readonly cues: number }>(
  "planLeftBehind",
  "warning",
  ({ plan, usual, cues }) =>
    t`The ${cues} cues after it run under “${plan}”: none of them asks for “${usual}” again.`,
);

/** A plan that a cue brings and no later one takes back. */
export const planLeftBehind: Check = {
  code: leftBehind.code,
  name: t`Plans that are left behind`,
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
          changing(after.cue, t`Set “${nameOf(evening.planId)}” again with the next cue`, {
            plan: { id: evening.planId, otherwise: "switch" },
          } as Partial<CueDoc>),
        ],
      },
    ];
  },
};
