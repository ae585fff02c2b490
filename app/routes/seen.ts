import { z } from "zod";
import { answer, refuse, tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { DESK_HEADER, getServices } from "../services.server.ts";
import type { Route } from "./+types/seen.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({
  keys: z.array(z.string().min(1).max(200)).min(1).max(500),
  isSeen: z.boolean(),
});

/** Which steps of the open evening were looked at on all screens. */
export async function loader({ context }: Route.LoaderArgs) {
  const { seen, evenings } = getServices(context);
  return tell("/seen", { keys: await seen.keysOf(evenings.open.id) });
}

/** Ticks steps of the open evening, or takes their ticks away. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { seen, evenings, live, now } = getServices(context);
  const { keys, isSeen } = body.value;
  const by = live.deskNameOf(request.headers.get(DESK_HEADER));
  await seen.set(evenings.open.id, keys, isSeen, { atMs: now(), by });
  return answer("/seen", {});
}
