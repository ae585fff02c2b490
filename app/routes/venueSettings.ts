import { venueSettingsSchema } from "../../core/show/venueSettings.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/venueSettings.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = venueSettingsSchema.partial();

/** The venue's own keys, the language of its dates and times, how much of the past is kept in full, and the limits of the check. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { keys, language, kept, limits } = body.value;
  await getServices(context).venue.save({
    ...(keys && { keys }),
    ...(language && { language }),
    ...(kept && { kept }),
    ...(limits && { limits }),
  });
  return answer("/venue-settings", {});
}
