import { answer } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/healthBackUp.ts";

export const middleware = [only("desk")];

/** Copies the show now. */
export async function action({ context }: Route.ActionArgs) {
  return answer("/health/back-up", { done: await getServices(context).health.backUp() });
}
