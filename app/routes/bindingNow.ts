import { z } from "zod";
import { bindingSchema, picksSchema } from "../../core/feeds/binding.ts";
import { resolveBinding } from "../../core/feeds/resolveBinding.ts";
import { t } from "../../core/language/t.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/bindingNow.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk", "see")];

const requestSchema = z.strictObject({ binding: bindingSchema, picks: picksSchema });

/** What a binding gives now, or why it gives nothing. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { binding, picks } = body.value;
  const { feeds, venue } = getServices(context);
  const feed = feeds.findTable(binding.feedId);
  return answer(
    "/binding-now",
    feed
      ? resolveBinding(binding, feed, picks[binding.feedId], venue.settings.language)
      : { problem: feeds.find(binding.feedId) ? t`This feed was never read.` : t`This feed was removed.` },
  );
}
