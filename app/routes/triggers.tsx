import { only } from "../rights.server.ts";
import { TriggersView } from "../triggers/TriggersView.tsx";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/triggers.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: titleOf("triggers") }];

export default function TriggersRoute() {
  return <TriggersView />;
}
