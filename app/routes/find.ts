import { tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { findWords, getServices } from "../services.server.ts";
import type { Route } from "./+types/find.ts";

export const middleware = [only("desk")];

/** Songs, passages and verses for typed words. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const { songs, scriptures } = getServices(context);
  const query = (new URL(request.url).searchParams.get("q") ?? "").slice(0, 200);
  return tell("/find", await findWords(query, songs, scriptures));
}
