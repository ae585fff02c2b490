import { z } from "zod";
import { feedIdSchema } from "../../core/feeds/feed.ts";
import { tableEditSchema } from "../../core/feeds/tableEdit.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { DESK_HEADER, getServices } from "../services.server.ts";
import type { Route } from "./+types/tableEdit.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({
  id: feedIdSchema,
  /** Null: what this hand did last is taken back. */
  edit: tableEditSchema.nullable(),
  editId: z.string().min(1).max(80),
  actor: z.string().min(1).max(80),
});

/** A table that is edited here changes, as a desk says. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { tables, live } = getServices(context);
  const { id, edit, editId, actor } = body.value;
  const hand = { id: actor, name: live.deskNameOf(request.headers.get(DESK_HEADER)) };
  return answer(
    "/table-edit",
    edit ? await tables.edit(id, edit, hand, editId) : await tables.undo(id, hand, editId),
  );
}
