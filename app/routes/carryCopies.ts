import { tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/carryCopies.ts";

export const middleware = [only("desk")];

/** The copies that the server made by itself, with what they hold. */
export async function loader({ context }: Route.LoaderArgs) {
  return tell("/carry-copies", { copies: await getServices(context).carry.copies() });
}
