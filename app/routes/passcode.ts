import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getAccess, getServices } from "../services.server.ts";
import type { Route } from "./+types/passcode.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({
  passcode: z.union([z.literal(""), z.string().min(6, t`at least six characters`).max(200)]),
});

/** Sets the passcode with which the desk opens on another machine; empty takes it away. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { passcode, sessions } = getServices(context);
  const { caller } = getAccess(context);
  await passcode.set(body.value.passcode);
  // Whoever was let in has to come in anew, but for the one who set it.
  await sessions.endAll(caller.kind === "session" ? caller.sessionId : null);
  return answer("/passcode", {});
}
