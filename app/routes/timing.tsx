import { only } from "../rights.server.ts";
import { TimingView } from "../timing/TimingView.tsx";
import type { Route } from "./+types/timing.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: "Timing · Vesko" }];

export default function TimingRoute() {
  return <TimingView />;
}
