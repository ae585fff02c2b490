import { HealthView } from "../health/HealthView.tsx";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/health.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs) {
  const { health, links, now } = getServices(context);
  return { report: health.report(), secondToken: links.secondToken, atMs: now() };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("health") }];

export default function HealthRoute({ loaderData }: Route.ComponentProps) {
  return <HealthView {...loaderData} />;
}
