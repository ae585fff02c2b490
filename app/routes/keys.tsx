import { KeysView } from "../keys/KeysView.tsx";
import { only } from "../rights.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/keys.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: titleOf("keys") }];

export default function KeysRoute() {
  return <KeysView />;
}
