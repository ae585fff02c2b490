import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { refuse, tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/commentsList.ts";

export const middleware = [only("desk")];

const wantedSchema = z.strictObject({ since: z.coerce.number().int().min(0).default(0) });

/** What people wrote that is new or other since a version, and where it comes from. */
export function loader({ request, context }: Route.LoaderArgs) {
  const wanted = wantedSchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!wanted.success) return refuse(t`That was not understood. Load the page again.`, "notUnderstood");
  const { comments } = getServices(context);
  // A server that was started anew counts from the beginning.
  const since = wanted.data.since > comments.version ? 0 : wanted.data.since;
  return tell("/comments-list", {
    ...{ since, version: comments.version, count: comments.count, settings: comments.settings },
    comments: since === comments.version ? [] : comments.list(since),
  });
}
