import { z } from "zod";
import { feedDocSchema, feedIdSchema } from "../../core/feeds/feed.ts";
import { nameSchema } from "../../core/names/name.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/feedsEdit.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const id = feedIdSchema;
const editSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("save"), id, baseRevision: z.number().int().min(0), doc: feedDocSchema }),
  z.strictObject({ kind: z.literal("remove"), id }),
  z.strictObject({ kind: z.literal("takeAsItIs"), id }),
  z.strictObject({ kind: z.literal("use"), id, row: z.string().min(1).max(120), isUsed: z.boolean() }),
  z.strictObject({ kind: z.literal("putAllBack"), id }),
  z.strictObject({ kind: z.literal("freeze"), cueId: nameSchema(60), isFrozen: z.boolean() }),
]);

/** Feeds are made, changed and removed; pages that they fill are frozen; rows are used and put back. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, editSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { feeds, bindings, links, now } = getServices(context);
  const edit = body.value;
  const problem = await (async () => {
    switch (edit.kind) {
      case "save":
        return feeds.save(edit.id, edit.baseRevision, edit.doc);
      case "remove":
        for (const link of links.made("entry"))
          if (link.doc.feedId === edit.id) await links.end("entry", link.id);
        return feeds.remove(edit.id);
      case "takeAsItIs":
        return feeds.takeAsItIs(edit.id);
      case "use":
        return bindings.use(edit.id, edit.row, edit.isUsed);
      case "putAllBack":
        return bindings.putAllBack(edit.id);
      case "freeze":
        return bindings.freeze(edit.cueId, edit.isFrozen, now());
    }
  })();
  return problem === undefined ? answer("/feeds-edit", {}) : refuse(problem);
}
