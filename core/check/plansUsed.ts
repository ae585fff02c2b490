import type { ScreenPlan } from "../venue/plan.ts";
import type { EveningToCheck } from "./evening.ts";

/** The plans that the evening runs under: the one in use, and every one that a cue asks for. */
export function plansUsed({
  cues,
  plans,
  planId,
}: Pick<EveningToCheck, "cues" | "plans" | "planId">): ScreenPlan[] {
  const asked = new Set([planId]);
  for (const { doc } of cues) {
    if (doc.plan) asked.add(doc.plan.id);
    for (const { planId: id } of doc.stepPlans) asked.add(id);
  }
  return plans.filter(({ id }) => asked.has(id));
}
