import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { DESK_HEADER, getServices, screensEditSchema } from "../services.server.ts";
import type { Route } from "./+types/screensEdit.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

/** One change to screens or plans. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, screensEditSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { live, editScreens } = getServices(context);
  // Only the name of a desk that is open: what it did can be undone there.
  const said = request.headers.get(DESK_HEADER) ?? "";
  const sentence = await editScreens(body.value, live.grantOf(said) ? said : undefined);
  return sentence === undefined ? answer("/screens-edit", {}) : refuse(sentence);
}
