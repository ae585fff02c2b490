import { z } from "zod";
import { whyNot } from "../../core/rundown/compileContext.ts";
import { stepsOf } from "../../core/rundown/steps.ts";
import { textsInUse } from "../../core/rundown/textsInUse.ts";
import { understand } from "../../core/rundown/understand.ts";
import { MOST_TOLD, toldSchema } from "../../core/words/reader/told.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/understand.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk", "see")];

const requestSchema = z.strictObject({
  typed: z.string(),
  /** The text that a reference is for; the ones in use when not said. */
  text: z.string().max(40).optional(),
  told: z.array(toldSchema).max(MOST_TOLD).default([]),
});

/** What typed or pasted text would become, before it is added. Changes nothing. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { rundown, scriptures } = getServices(context);
  const understood = understand(body.value.typed, scriptures, {
    told: body.value.told,
    texts: body.value.text ? [body.value.text] : textsInUse(rundown.views(), scriptures.list()),
  });
  if (!understood || "problem" in understood)
    return answer("/understand", { whyNot: understood?.problem ?? "" });
  const compiled = rundown.tryOut(understood.doc);
  if (!("content" in compiled)) return answer("/understand", { whyNot: whyNot(compiled) });
  return answer("/understand", {
    doc: understood.doc,
    others: understood.others ?? [],
    title: compiled.content.title,
    steps: stepsOf(compiled.content).filter(({ kind }) => kind !== "leave").length,
  });
}
