import { only } from "../rights.server.ts";
import { type Finds, findWords, getServices } from "../services.server.ts";
import type { Route } from "./+types/find.ts";

export const middleware = [only("desk")];

export type { Finds };

/** Songs, passages and verses for typed words. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const { songs, scriptures } = getServices(context);
  const query = (new URL(request.url).searchParams.get("q") ?? "").slice(0, 200);
  return Response.json(await findWords(query, songs, scriptures));
}
