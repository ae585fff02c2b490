import { useDeskData } from "../desk/useDeskData.ts";
import { RunView } from "../run/RunView.tsx";
import type { Route } from "./+types/run.ts";

export const meta: Route.MetaFunction = () => [{ title: "Run · Vesko" }];

export default function RunRoute() {
  const { outfits, outputTokens } = useDeskData();
  return <RunView outfits={outfits} outputTokens={outputTokens} />;
}
