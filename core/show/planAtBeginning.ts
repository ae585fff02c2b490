import type { ScreenPlan } from "../venue/plan.ts";
import type { ShowState } from "./state.ts";

/** The plan that an evening begins under; what a cue has switched to since is no other evening. */
export const planAtBeginning = (
  { line, plan, handPlan }: Pick<ShowState, "line" | "plan" | "handPlan">,
  plans: readonly ScreenPlan[],
): ScreenPlan => (line.at === null ? plan : (handPlan ?? plans[0] ?? plan));
