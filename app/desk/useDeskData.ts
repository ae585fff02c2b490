import { useRouteLoaderData } from "react-router";
import type { loader } from "../routes/desk.tsx";

/** What the desk's loader gave: names, links and outfits that do not change while it is open. */
export function useDeskData() {
  const data = useRouteLoaderData<typeof loader>("routes/desk");
  if (!data) throw new Error("A desk view stands outside the desk route");
  return data;
}
