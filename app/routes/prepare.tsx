import { useDeskData } from "../desk/useDeskData.ts";
import { PrepareView } from "../prepare/PrepareView.tsx";
import { only } from "../rights.server.ts";
import type { Route } from "./+types/prepare.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: "Prepare · Vesko" }];

export default function PrepareRoute() {
  const { outfits } = useDeskData();
  return <PrepareView outfits={outfits} />;
}
