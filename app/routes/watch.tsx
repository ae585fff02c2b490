import { data } from "react-router";
import { t } from "../../core/language/t.ts";
import { only } from "../rights.server.ts";
import { deskDesigns, getServices } from "../services.server.ts";
import { WatchView } from "../watch/WatchView.tsx";
import type { Route } from "./+types/watch.ts";

export const middleware = [only("watch")];

export function loader({ params, context }: Route.LoaderArgs) {
  const { links, designs, evenings, host, screens, live, venue, buildId } = getServices(context);
  if (links.find(params.token)?.kind !== "watch") throw data(t`This link shows nothing`, { status: 404 });
  return {
    ...deskDesigns(designs),
    evening: evenings.open,
    venue: venue.settings,
    deskToken: params.token,
    buildId,
    state: host.state,
    outputs: screens.outputs,
    plans: screens.plans,
    cues: [],
    rundownStamp: "",
    documents: {},
    screens: live.screens(),
  };
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: t`All screens · ${loaderData?.evening.name ?? t`Vesko`}` },
];

export default function WatchRoute({ loaderData }: Route.ComponentProps) {
  return <WatchView start={loaderData} showName={loaderData.evening.name} />;
}
