import { type ScreenPlan, screenPlanSchema } from "../../venue/plan.ts";
import type { StoredKind } from "../storedKind.ts";

export const planKind: StoredKind<ScreenPlan> = { name: "screen plan", schema: screenPlanSchema, steps: [] };
