import { data } from "react-router";
import { t } from "../../core/language/t.ts";
import { RemoteView } from "../remote/RemoteView.tsx";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/remote.ts";

export const middleware = [only("remote")];

export function loader({ params, context }: Route.LoaderArgs) {
  const { links, live } = getServices(context);
  const link = links.find(params.token);
  if (link?.kind !== "remote") throw data(t`This link has ended`, { status: 404 });
  return { token: params.token, told: live.remoteTold(link) };
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.told.link.name ?? t`Remote`} · Vesko` },
  { name: "theme-color", content: "#15110f" },
  { name: "mobile-web-app-capable", content: "yes" },
];

export default function RemoteRoute({ loaderData }: Route.ComponentProps) {
  return (
    <>
      <link rel="manifest" href={`/remote/${loaderData.token}/app.webmanifest`} />
      <RemoteView key={loaderData.token} token={loaderData.token} start={loaderData.told} />
    </>
  );
}
