import { tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/carryJobs.ts";

export const middleware = [only("desk")];

/** What is done with show files, and what came of it. */
export function loader({ context }: Route.LoaderArgs) {
  return tell("/carry-jobs", { jobs: getServices(context).carry.list() });
}
