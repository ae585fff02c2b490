import { z } from "zod";
import type { PinnedDocument } from "../../core/rundown/pinnedDocument.ts";
import { pinnedBy } from "../../server/store/pinnedBy.ts";
import { refuse, tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/pastState.ts";

export const middleware = [only("desk")];

const wantedSchema = z.strictObject({ at: z.coerce.number().min(0).max(8_640_000_000_000) });

/** The air as it was at a time, and the documents to draw it with. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const wanted = wantedSchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!wanted.success) return refuse("That was not understood. Load the page again.", "notUnderstood");
  const { reports, contents } = getServices(context);
  const past = await reports.stateAt(wanted.data.at);
  if (!past) return refuse("Nothing is known of that time any more.", "gone");
  const documents: Record<string, PinnedDocument> = Object.fromEntries(await contents.read(past.contents));
  const worn = Object.values(documents).flatMap((document) => [...pinnedBy(document)]);
  for (const [hash, document] of await contents.read(worn)) documents[hash] = document;
  return tell("/past-state", { state: past.state, documents });
}
