import { z } from "zod";
import { resolveTie } from "../../core/feeds/resolveTie.ts";
import { picksSchema, tieSchema } from "../../core/feeds/tie.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/tieNow.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk", "see")];

const requestSchema = z.strictObject({ tie: tieSchema, picks: picksSchema });

/** What a tie gives now, or why it gives nothing. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { tie, picks } = body.value;
  const { feeds, venue } = getServices(context);
  const feed = feeds.findTable(tie.feedId);
  return answer(
    "/tie-now",
    feed
      ? resolveTie(tie, feed, picks[tie.feedId], venue.settings.language)
      : { problem: feeds.find(tie.feedId) ? "This feed was never read." : "This feed was removed." },
  );
}
