import { tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/evening.ts";

export const middleware = [only("desk")];

/** The cues of any evening, to choose from what is taken for another day. */
export async function loader({ params, context }: Route.LoaderArgs) {
  return tell("/evening/", { cues: await getServices(context).evenings.cuesOf(params.id) });
}
