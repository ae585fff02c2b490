import { CheckView } from "../check/CheckView.tsx";
import { only } from "../rights.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/check.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: titleOf("check") }];

export default function CheckRoute() {
  return <CheckView />;
}
