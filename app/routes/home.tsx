import { redirect } from "react-router";
import { only } from "../rights.server.ts";

export const middleware = [only("desk")];

export function loader() {
  return redirect("/run");
}
