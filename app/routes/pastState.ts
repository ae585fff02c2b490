import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { refuse, tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/pastState.ts";

export const middleware = [only("desk")];

const wantedSchema = z.strictObject({ at: z.coerce.number().min(0).max(8_640_000_000_000) });

/** The air as it was at a time, and the documents to draw it with. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const wanted = wantedSchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!wanted.success) return refuse(t`That was not understood. Load the page again.`, "notUnderstood");
  const past = await getServices(context).reports.stateAt(wanted.data.at);
  if (!past) return refuse(t`Nothing is known of that time any more.`, "gone");
  return tell("/past-state", past);
}
