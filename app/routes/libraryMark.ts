import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { nameSchema } from "../../core/names/name.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/libraryMark.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({
  mark: nameSchema(40),
  color: z.string().regex(/^#[0-9a-f]{6}$/i, "a colour is #rrggbb"),
});

/** A mark of our own in a colour, as a picture of the library. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { mark, color } = body.value;
  const added = await getServices(context).library.addMark(mark, color);
  if (!added) return refuse(t`There is no such mark. Nothing was added.`, "gone");
  return "problem" in added
    ? refuse(added.problem)
    : answer("/library-mark", { id: added.item.id, hash: added.item.hash });
}
