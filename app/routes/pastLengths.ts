import { tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/pastLengths.ts";

export const middleware = [only("desk")];

/** How long the cues of the open evening took on earlier ones. */
export async function loader({ context }: Route.LoaderArgs) {
  const { reports, rundown } = getServices(context);
  return tell("/past-lengths", { lengths: await reports.pastLengths(rundown.ready()) });
}
