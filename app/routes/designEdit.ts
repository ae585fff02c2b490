import { z } from "zod";
import { designEditSchema } from "../../core/design/designEdit.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { editDesign, getServices } from "../services.server.ts";
import type { Route } from "./+types/designEdit.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({ actor: z.string().min(1).max(80), edit: designEditSchema });

/** What a person does in Design. Drafts are worn by nobody; what is published is worn from the next take on. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const services = getServices(context);
  const outcome = await editDesign(services, body.value.edit, body.value.actor, services.now());
  return "problem" in outcome ? refuse(outcome.problem) : answer("/design-edit", outcome);
}
