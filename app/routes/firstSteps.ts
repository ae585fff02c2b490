import { firstStepsSchema } from "../../core/rundown/firstSteps.ts";
import { only } from "../rights.server.ts";
import { getServices, takeFirstSteps } from "../services.server.ts";
import type { Route } from "./+types/firstSteps.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

/** Makes what a house needs for its first evening. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, firstStepsSchema);
  if ("problem" in body) return Response.json({ sentence: body.problem }, { status: 400 });
  const desk = { kind: "desk", id: "first-steps", name: "First steps" } as const;
  const sentence = await takeFirstSteps(getServices(context), body.value, desk);
  return sentence === undefined ? Response.json({}) : Response.json({ sentence }, { status: 409 });
}
