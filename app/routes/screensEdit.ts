import { only } from "../rights.server.ts";
import { DESK_HEADER, getServices, screensEditSchema } from "../services.server.ts";
import type { Route } from "./+types/screensEdit.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

/** One change to screens or plans. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, screensEditSchema);
  if ("problem" in body) return Response.json({ sentence: body.problem }, { status: 400 });
  const { live, editScreens } = getServices(context);
  // Only the name of a desk that is open: what it did can be undone there.
  const said = request.headers.get(DESK_HEADER) ?? "";
  const sentence = await editScreens(body.value, live.modeOf(said) ? said : undefined);
  return Response.json(sentence === undefined ? {} : { sentence });
}
