import { cueSubject, defineFinding } from "../../findings/finding.ts";
import { t } from "../../language/t.ts";
import type { CueDoc } from "../../rundown/cueDoc.ts";
import type { Check } from "../check.ts";
import { changing } from "../mend.ts";

const goneFinding = defineFinding<{ readonly plan: string }>(
  "gonePlan",
  "fault",
  ({ plan }) => t`It asks for a screen plan that is not there any more (${plan}).`,
);

/** A cue that needs a plan which was deleted. */
export const gonePlan: Check = {
  code: goneFinding.code,
  name: t`Plans that are gone`,
  cue: ({ cue, evening }) => {
    const { doc, cueId } = cue;
    const asked = [...(doc.plan ? [doc.plan.id] : []), ...doc.stepPlans.map(({ planId }) => planId)];
    const missing = asked.filter((id) => !evening.plans.some((plan) => plan.id === id));
    return [...new Set(missing)].map((plan) => ({
      finding: goneFinding(cueSubject(cueId), { plan }, plan),
      cueId,
      mends: [
        changing(cue, t`Let it take any plan`, {
          plan: doc.plan?.id === plan ? null : doc.plan,
          stepPlans: doc.stepPlans.filter(({ planId }) => planId !== plan),
        } as Partial<CueDoc>),
      ],
    }));
  },
};
