import { z } from "zod";
import { rowEditSchema } from "../../core/feeds/tableEdit.ts";
import { t } from "../../core/language/t.ts";
import { answer, refuse, tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { editByLink, getServices, tableOfLink } from "../services.server.ts";
import type { Route } from "./+types/entryRows.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("entry")];

const requestSchema = z.strictObject({ edit: rowEditSchema, editId: z.string().min(1).max(80) });
const GONE = t`This table is not there any more. Nothing was changed.`;

/** What a link shows of its table, as it is now. */
export function loader({ params, context }: Route.LoaderArgs) {
  const { links, feeds } = getServices(context);
  const link = links.find(params.token);
  const table = link?.kind === "entry" ? tableOfLink(feeds, link) : undefined;
  return table ? tell("/table/", table) : refuse(GONE, "gone");
}

/** One edit by a link; what is sent again because no answer came is done once. */
export async function action({ params, request, context }: Route.ActionArgs) {
  const { links, feeds, tables } = getServices(context);
  const link = links.find(params.token);
  if (link?.kind !== "entry") return refuse(GONE, "gone");
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const outcome = await editByLink(tables, link, body.value.edit, body.value.editId);
  const table = tableOfLink(feeds, link);
  return table ? answer("/table/", { outcome, table }) : refuse(GONE, "gone");
}
