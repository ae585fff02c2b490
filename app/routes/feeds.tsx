import { FeedsView } from "../feeds/FeedsView.tsx";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/feeds.ts";

export const middleware = [only("desk")];

export async function loader({ context }: Route.LoaderArgs) {
  const { feeds } = getServices(context);
  return {
    files: await feeds.listFiles(),
    hasFolder: feeds.hasFolder,
    hosts: [...feeds.allowedHosts],
  };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("feeds") }];

export default function FeedsRoute({ loaderData }: Route.ComponentProps) {
  return <FeedsView {...loaderData} />;
}
