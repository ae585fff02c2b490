import { tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/bin.ts";

export const middleware = [only("desk")];

/** Cues that were deleted and are not in the rundown, the latest first. */
export async function loader({ context }: Route.LoaderArgs) {
  return tell("/bin", { cues: await getServices(context).rundown.deleted() });
}
