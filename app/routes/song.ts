import { t } from "../../core/language/t.ts";
import { refuse, tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/song.ts";

export const middleware = [only("desk")];

/** One song of the library, with what it was before. */
export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { songs } = getServices(context);
  const found = await songs.find(params.id);
  if (!found) return refuse(t`That song is not in the library any more.`, "gone");
  const versions = new URL(request.url).searchParams.has("versions") ? await songs.versions(params.id) : [];
  return tell("/song/", { ...found, versions });
}
