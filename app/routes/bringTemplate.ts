import { readTemplate } from "../../core/scene/readTemplate.ts";
import { refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/bringTemplate.ts";
import { readBodyText } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

/** A template file, as it is, for an outfit: offered beside those it has. What could not be read in it is told. */
export async function action({ request, context }: Route.ActionArgs) {
  const outfitId = new URL(request.url).searchParams.get("outfit") ?? "";
  const body = await readBodyText(request, "template");
  if ("problem" in body) return refuse(body.problem, "tooLarge");
  const read = readTemplate(body.text);
  if ("problem" in read) return refuse(read.problem, "notUnderstood");
  const refused = await getServices(context).templates.offer(outfitId, read.template);
  if (refused) return refuse(refused);
  return Response.json({ name: read.template.name, problems: read.problems });
}
