import { PaperView } from "../paper/PaperView.tsx";
import { only } from "../rights.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/paper.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: titleOf("paper") }];

export default function PaperRoute() {
  return <PaperView />;
}
