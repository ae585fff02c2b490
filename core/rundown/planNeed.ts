import { type Anchor, sameAnchor } from "./anchor.ts";
import type { PageContent } from "./content.ts";
import type { PlanNeed } from "./cueDoc.ts";
import { stepsOf } from "./steps.ts";

/**
 * The screen plan a step is to be seen under: what the last step at or before it asked for, else what the cue needs;
 * null when any will do. A jump into the middle of a cue so brings the plan that its words stand in.
 */
export function planNeededAt(content: PageContent, anchor: Anchor): PlanNeed | null {
  if (content.stepPlans.length === 0) return content.plan;
  const steps = stepsOf(content);
  const at = steps.findIndex((step) => sameAnchor(step.anchor, anchor));
  let need = content.plan;
  let latest = -1;
  for (const { step, planId } of content.stepPlans) {
    const index = steps.findIndex(
      (candidate) => candidate.anchor.occurrence === step.occurrence && candidate.anchor.unit >= step.unit,
    );
    if (index < 0 || index > at || index < latest) continue;
    latest = index;
    need = { id: planId, otherwise: "switch" };
  }
  return need;
}
