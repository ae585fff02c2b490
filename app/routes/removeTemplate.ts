import { z } from "zod";
import { nameSchema } from "../../core/names/name.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/removeTemplate.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({ outfitId: nameSchema(60), name: z.string().min(1).max(80) });

/** Takes a template that is offered, and not worn, from an outfit. Pages that chose it wear the outfit's own. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const problem = await getServices(context).templates.remove(body.value.outfitId, body.value.name);
  return problem === undefined ? answer("/remove-template", {}) : refuse(problem);
}
