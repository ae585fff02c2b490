import { PhonesView } from "../phones/PhonesView.tsx";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/phones.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs) {
  const { links } = getServices(context);
  return { links: links.made("remote").map(({ id, token, doc }) => ({ id, token, doc })) };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("phones") }];

export default function PhonesRoute({ loaderData }: Route.ComponentProps) {
  return <PhonesView {...loaderData} />;
}
