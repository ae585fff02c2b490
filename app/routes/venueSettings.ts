import { venueSettingsSchema } from "../../core/show/venueSettings.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/venueSettings.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = venueSettingsSchema.partial();

/** The venue's own keys, and the language of its dates and times. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return Response.json({ sentence: body.problem }, { status: 400 });
  const { keys, language } = body.value;
  await getServices(context).venue.save({ ...(keys && { keys }), ...(language && { language }) });
  return Response.json({});
}
