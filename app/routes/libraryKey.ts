import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { chromaKeySchema } from "../../core/scene/media.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/libraryKey.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const settingsSchema = z.strictObject({
  id: z.string().max(60),
  key: chromaKeySchema.nullable(),
  actor: z.string().min(1).max(80),
});

/** How a clip is cut out. Cues take it with their next take; the air keeps what it has. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, settingsSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { id, key, actor } = body.value;
  const item = await getServices(context).library.setKey(id, key, actor);
  if (!item) return refuse(t`That clip is not in the library any more. The air is as it was.`, "gone");
  return answer("/library-key", { hash: item.hash });
}
