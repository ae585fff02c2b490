import { z } from "zod";
import { cueDocSchema } from "../../core/rundown/cueDoc.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices, tryOut } from "../services.server.ts";
import type { Route } from "./+types/tryOut.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk", "see")];

const requestSchema = z.strictObject({ doc: cueDocSchema });

/** What words would be as a cue: their content with all that is needed to draw it. Changes nothing. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  return answer("/try-out", tryOut(getServices(context), body.value.doc));
}
