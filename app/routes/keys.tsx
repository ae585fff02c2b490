import { KeysView } from "../keys/KeysView.tsx";
import type { Route } from "./+types/keys.ts";

export const meta: Route.MetaFunction = () => [{ title: "Keys · Vesko" }];

export default function KeysRoute() {
  return <KeysView />;
}
