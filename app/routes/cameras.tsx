import { data } from "react-router";
import { t } from "../../core/language/t.ts";
import { CamerasView } from "../out/CamerasView.tsx";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/cameras.ts";

export const middleware = [only("output")];

/** The sources that are a camera of whichever machine a screen runs on. */
export function loader({ params, context }: Route.LoaderArgs) {
  const { links, screens, follow } = getServices(context);
  const link = links.find(params.token);
  const output = link?.kind === "output" ? screens.outputs.find(({ id }) => id === link.outputId) : undefined;
  if (!output) throw data(t`No output has this link`, { status: 404 });
  const sources = follow.sources.filter(({ picture }) => picture.kind === "camera");
  return { name: output.name, sources: sources.map(({ id, name }) => ({ id, name })) };
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: t`Cameras for ${loaderData?.name ?? t`a screen`}` },
];

export default function CamerasRoute({ loaderData }: Route.ComponentProps) {
  return <CamerasView {...loaderData} />;
}
