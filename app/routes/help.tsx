import { HelpView } from "../help/HelpView.tsx";
import { only } from "../rights.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/help.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: titleOf("help") }];

export default function HelpRoute() {
  return <HelpView />;
}
