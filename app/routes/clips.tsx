import { ClipsView } from "../clips/ClipsView.tsx";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/clips.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs) {
  const videos = getServices(context)
    .media.list()
    .flatMap(({ id, info }) => (info.type === "video" ? [{ id, info }] : []));
  return { videos };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("clips") }];

export default function ClipsRoute({ loaderData }: Route.ComponentProps) {
  return <ClipsView {...loaderData} />;
}
