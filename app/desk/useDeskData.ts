import { useRouteLoaderData } from "react-router";
import type { DeskData } from "./deskData.ts";

/** What the desk's loader gave: names and links that do not change while it is open. */
export function useDeskData(): DeskData {
  const data = useRouteLoaderData<DeskData>("routes/desk");
  if (!data) throw new Error("A desk view stands outside the desk route");
  return data;
}
