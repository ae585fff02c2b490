import { t } from "../../core/language/t.ts";
import { refuse } from "../answers.server.ts";
import { readRange } from "../report/readRange.server.ts";
import { tellInParts } from "../report/tellInParts.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/asRun.ts";

export const middleware = [only("desk")];

/** What was on every screen from when to when, in a stretch of time. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const range = readRange(request);
  if (!range) return refuse(t`That was not understood. Load the page again.`, "notUnderstood");
  return tellInParts(await getServices(context).reports.read(range));
}
