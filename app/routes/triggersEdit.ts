import { followEditSchema } from "../../core/triggers/followEdit.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/triggersEdit.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

/** Sources and triggers are made, changed and removed. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, followEditSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const problem = await getServices(context).follow.edit(body.value);
  return problem === undefined ? answer("/triggers-edit", {}) : refuse(problem);
}
