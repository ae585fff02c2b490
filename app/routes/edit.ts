import { editRequestSchema } from "../../core/rundown/edits.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/edit.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

/** One edit of the rundown. The answer says whether it is on the disk. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, editRequestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { rundown, now } = getServices(context);
  return answer("/edit", await rundown.edit(body.value.actor, body.value.edit, Math.round(now())));
}
