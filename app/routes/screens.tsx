import { ScreensView } from "../screens/ScreensView.tsx";
import type { Route } from "./+types/screens.ts";

export const meta: Route.MetaFunction = () => [{ title: "Screens · Vesko" }];

export default function ScreensRoute() {
  return <ScreensView />;
}
