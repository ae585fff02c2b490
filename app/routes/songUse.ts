import { t } from "../../core/language/t.ts";
import { refuse, tell } from "../answers.server.ts";
import { readRange } from "../report/readRange.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/songUse.ts";

export const middleware = [only("desk")];

/** Which songs were shown in a stretch of time, as a licence report asks for them. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const range = readRange(request);
  if (!range) return refuse(t`That was not understood. Load the page again.`, "notUnderstood");
  return tell("/song-use", { songs: await getServices(context).reports.songs(range) });
}
