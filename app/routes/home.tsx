import { redirect } from "react-router";
import { only } from "../rights.server.ts";
import { getServices, isFresh } from "../services.server.ts";
import type { Route } from "./+types/home.ts";

export const middleware = [only("desk")];

/** A show in which nothing was done yet begins with the first steps. */
export function loader({ context }: Route.LoaderArgs) {
  return redirect(isFresh(getServices(context)) ? "/welcome" : "/run");
}
