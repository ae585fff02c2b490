import { data } from "react-router";
import { t } from "../../core/language/t.ts";
import { OutputWindow } from "../out/OutputWindow.tsx";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/out.ts";

export const middleware = [only("output")];

export function loader({ params, context, request }: Route.LoaderArgs) {
  const { links, show, screens } = getServices(context);
  const link = links.find(params.token);
  const output = link?.kind === "output" ? screens.outputs.find(({ id }) => id === link.outputId) : undefined;
  if (!output) throw data(t`No output has this link`, { status: 404 });
  const over = new URL(request.url).searchParams.get("over") === "picture";
  return {
    output,
    timeZone: show.timeZone,
    token: params.token,
    overPicture: over,
    title: `${output.name} · ${show.name}`,
  };
}

export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: loaderData?.title ?? t`Output` }];

export default function OutRoute({ loaderData }: Route.ComponentProps) {
  return <OutputWindow {...loaderData} />;
}
