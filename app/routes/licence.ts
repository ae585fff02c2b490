import { z } from "zod";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/licence.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({ licence: z.string().max(60) });

/** The venue's licence number for this event. Songs taken from now on show it; the air stays as it is. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  await getServices(context).setLicence(body.value.licence.trim());
  return answer("/licence", {});
}
