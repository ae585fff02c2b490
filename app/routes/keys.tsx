import { KeysView } from "../keys/KeysView.tsx";
import { only } from "../rights.server.ts";
import type { Route } from "./+types/keys.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: "Keys · Vesko" }];

export default function KeysRoute() {
  return <KeysView />;
}
