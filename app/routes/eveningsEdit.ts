import { eveningEditSchema } from "../../core/rundown/evening.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/eveningsEdit.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

/** Evenings are made, duplicated, named, opened, deleted and brought back. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, eveningEditSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const sentence = await getServices(context).editEvenings(body.value);
  return sentence === undefined ? answer("/evenings-edit", {}) : refuse(sentence);
}
