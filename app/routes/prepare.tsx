import { useDeskData } from "../desk/useDeskData.ts";
import { PrepareView } from "../prepare/PrepareView.tsx";
import type { Route } from "./+types/prepare.ts";

export const meta: Route.MetaFunction = () => [{ title: "Prepare · Vesko" }];

export default function PrepareRoute() {
  const { outfits } = useDeskData();
  return <PrepareView outfits={outfits} />;
}
