import { clipEditSchema } from "../../core/clips/clipEdit.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/clipsEdit.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

/** Clips and mappings are made, changed, put in order and removed. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, clipEditSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const problem = await getServices(context).clips.edit(body.value);
  return problem === undefined ? answer("/clips-edit", {}) : refuse(problem);
}
