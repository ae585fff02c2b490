import { eventSettingsSchema, getServices } from "../services.server.ts";
import type { Route } from "./+types/eventSettings.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

/** Keys of the venue's own, and when the event begins. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, eventSettingsSchema.partial());
  if ("problem" in body) return Response.json({ sentence: body.problem }, { status: 400 });
  const { keys, startsAt } = body.value;
  await getServices(context).eventSettings.save({
    ...(keys && { keys }),
    ...(startsAt !== undefined && { startsAt }),
  });
  return Response.json({});
}
