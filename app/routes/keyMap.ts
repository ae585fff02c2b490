import { keyMapSchema } from "../../core/keys/keyMap.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/keyMap.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

/** Keys of the venue's own. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, keyMapSchema);
  if ("problem" in body) return Response.json({ sentence: body.problem }, { status: 400 });
  await getServices(context).keys.save(body.value);
  return Response.json({});
}
