import { useDeskData } from "../desk/useDeskData.ts";
import { only } from "../rights.server.ts";
import { RunView } from "../run/RunView.tsx";
import type { Route } from "./+types/run.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: "Run · Vesko" }];

export default function RunRoute() {
  const { outfits, outputTokens } = useDeskData();
  return <RunView outfits={outfits} outputTokens={outputTokens} />;
}
