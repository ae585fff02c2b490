import { only } from "../rights.server.ts";
import { getServices, screensEditSchema } from "../services.server.ts";
import type { Route } from "./+types/screensEdit.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

/** One change to screens or plans. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, screensEditSchema);
  if ("problem" in body) return Response.json({ sentence: body.problem }, { status: 400 });
  const sentence = await getServices(context).editScreens(body.value);
  return Response.json(sentence === undefined ? {} : { sentence });
}
