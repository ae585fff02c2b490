import { t } from "../../core/language/t.ts";
import { firstStepsSchema } from "../../core/rundown/firstSteps.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices, takeFirstSteps } from "../services.server.ts";
import type { Route } from "./+types/firstSteps.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

/** Makes what a house needs for its first evening. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, firstStepsSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const desk = { kind: "desk", id: "first-steps", name: t`First steps` } as const;
  const sentence = await takeFirstSteps(getServices(context), body.value, desk);
  return sentence === undefined ? answer("/first-steps", {}) : refuse(sentence);
}
