import { fieldNamesOf } from "../../core/scene/fieldSet.ts";
import { findUnknownFields } from "../../core/scene/findReferenceFaults.ts";
import { readTemplate } from "../../core/scene/readTemplate.ts";
import type { Template } from "../../core/scene/template.ts";
import { FIELD_SETS } from "../../designs/fieldSets.ts";
import { refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/bringTemplate.ts";
import { readBodyText } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

/** Fields that a template shows and pages of its kind do not have. */
function fieldsToldOf(template: Template): string[] {
  const set = FIELD_SETS.find(({ id }) => id === template.fieldSet);
  return set ? findUnknownFields(template, fieldNamesOf(set)).map(({ sentence }) => sentence) : [];
}

/** A template file, as it is, for an outfit: offered beside those it has. What could not be read in it is told. */
export async function action({ request, context }: Route.ActionArgs) {
  const asked = new URL(request.url).searchParams;
  const outfitId = asked.get("outfit") ?? "";
  const body = await readBodyText(request, "template");
  if ("problem" in body) return refuse(body.problem, "tooLarge");
  const read = readTemplate(body.text);
  if ("problem" in read) return refuse(read.problem, "notUnderstood");
  const offered = await getServices(context).templates.offer(outfitId, read.template, asked.get("replaces"));
  if ("problem" in offered) return refuse(offered.problem);
  const { template, told } = offered;
  return Response.json({
    name: template.name,
    problems: [...read.problems, ...fieldsToldOf(template), ...told],
  });
}
