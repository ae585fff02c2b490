import { EveningsView } from "../evenings/EveningsView.tsx";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/evenings.ts";

export const middleware = [only("desk")];

export async function loader({ context }: Route.LoaderArgs) {
  return { evenings: await getServices(context).evenings.list() };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("evenings") }];

export default function EveningsRoute({ loaderData }: Route.ComponentProps) {
  return <EveningsView evenings={loaderData.evenings} />;
}
