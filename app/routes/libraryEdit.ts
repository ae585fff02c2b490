import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { nameSchema } from "../../core/names/name.ts";
import { libraryEntrySchema } from "../../core/scene/libraryEntry.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/libraryEdit.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({
  id: nameSchema(80),
  entry: libraryEntrySchema,
  actor: z.string().min(1).max(80),
});

/** The name of something in the library, and where it is found. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { id, entry, actor } = body.value;
  const item = await getServices(context).library.describe(id, entry, actor);
  return item
    ? answer("/library-edit", { hash: item.hash })
    : refuse(t`That is not in the library any more. Nothing was changed.`, "gone");
}
