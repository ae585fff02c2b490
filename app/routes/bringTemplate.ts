import { z } from "zod";
import { readTemplate } from "../../core/scene/readTemplate.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/bringTemplate.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const broughtSchema = z.strictObject({ outfitId: z.string().max(60), json: z.string().max(900_000) });

/** A template file for an outfit: offered beside those it has. What could not be read in it is told. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, broughtSchema);
  if ("problem" in body) return Response.json({ problem: body.problem }, { status: 400 });
  const read = readTemplate(body.value.json);
  if ("problem" in read) return Response.json({ problem: read.problem }, { status: 400 });
  const refused = await getServices(context).offerTemplate(body.value.outfitId, read.template);
  if (refused) return Response.json({ problem: refused }, { status: 400 });
  return Response.json({ name: read.template.name, problems: read.problems });
}
