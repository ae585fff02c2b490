import { z } from "zod";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/removeText.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({ code: z.string().min(1).max(40) });

/** Takes a scripture text out. Readings on air stay; cues that read from it say that it is gone. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  await getServices(context).removeText(body.value.code);
  return answer("/remove-text", {});
}
