import { only } from "../rights.server.ts";
import { TimingView } from "../timing/TimingView.tsx";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/timing.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: titleOf("timing") }];

export default function TimingRoute() {
  return <TimingView />;
}
