import { z } from "zod";
import { nameSchema } from "../../core/names/name.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/offeredTemplate.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({
  kind: z.enum(["remove", "wear"]),
  outfitId: nameSchema(60),
  fieldSet: nameSchema(40),
  key: z.string().min(1).max(80),
  actor: z.string().min(1).max(80),
});

/** Takes a template that an outfit offers from it, or makes it the one that the outfit wears. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { kind, actor, ...offered } = body.value;
  const problem = await getServices(context).templates[kind](offered, actor);
  return problem === undefined ? answer("/offered-template", {}) : refuse(problem);
}
