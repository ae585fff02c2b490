import { t } from "../../core/language/t.ts";
import { refuse, tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/carryLooked.ts";

export const middleware = [only("desk")];

/** What is in a show file or a copy, beside what is here. */
export function loader({ request, context }: Route.LoaderArgs) {
  const looked = getServices(context).carry.looked(new URL(request.url).searchParams.get("id") ?? "");
  return looked
    ? tell("/carry-looked", looked)
    : refuse(t`That is not here any more; look at it again.`, "gone");
}
