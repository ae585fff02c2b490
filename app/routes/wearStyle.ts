import { z } from "zod";
import { byNameSchema, nameSchema } from "../../core/names/name.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices, wearHouseStyle } from "../services.server.ts";
import type { Route } from "./+types/wearStyle.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const wantedSchema = z.strictObject({
  styleId: nameSchema(80),
  /** Role → what is set in it: a typeface that ships, by name, or a font of the venue, by id. Others as the style has them. */
  fonts: byNameSchema(z.string().max(80)).default({}),
  actor: z.string().min(1).max(80),
});

/** Dresses the whole show in one of the house styles. The air keeps the one it was taken with. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, wantedSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { styleId, fonts, actor } = body.value;
  const worn = await wearHouseStyle(getServices(context), styleId, fonts, actor);
  return "problem" in worn ? refuse(worn.problem, "gone") : answer("/wear-style", { worn: worn.style.name });
}
