import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import { SongsView } from "../songs/SongsView.tsx";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/songs.ts";

export const middleware = [only("desk")];

/** Songs in the list at once; more are found by typing. */
const MOST_LISTED = 200;

export async function loader({ request, context }: Route.LoaderArgs) {
  const { songs } = getServices(context);
  const query = (new URL(request.url).searchParams.get("q") ?? "").slice(0, 200);
  return { query, songs: await songs.list(query, MOST_LISTED), count: await songs.count() };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("songs") }];

export default function SongsRoute({ loaderData }: Route.ComponentProps) {
  return <SongsView {...loaderData} />;
}
