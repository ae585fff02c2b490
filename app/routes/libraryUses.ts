import { tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices, usesInOtherEvenings } from "../services.server.ts";
import type { Route } from "./+types/libraryUses.ts";

export const middleware = [only("desk")];

/** Where something of the library is used in other evenings than the open one. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const id = new URL(request.url).searchParams.get("id") ?? "";
  return tell("/library-uses", await usesInOtherEvenings(getServices(context), id));
}
