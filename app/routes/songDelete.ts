import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/songDelete.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({ id: z.string().min(8).max(60), isDeleted: z.boolean() });

/** Takes a song out of the library, or puts it back. Rundowns that sing it have copies of their own. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { songs, now } = getServices(context);
  const { id, isDeleted } = body.value;
  const done = await songs.setDeleted(id, isDeleted ? Math.round(now()) : null);
  return done ? answer("/song/delete", {}) : refuse(t`That song is not in the library.`, "gone");
}
