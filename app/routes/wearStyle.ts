import { z } from "zod";
import { HOUSE_STYLES } from "../../designs/houseStyles.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/wearStyle.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const wantedSchema = z.strictObject({ name: z.string().max(80) });

/** Dresses the whole show in one of the house styles. The air keeps the one it was taken with. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, wantedSchema);
  if ("problem" in body) return Response.json({ problem: body.problem }, { status: 400 });
  const style = HOUSE_STYLES.find(({ name }) => name === body.value.name);
  if (!style)
    return Response.json(
      { problem: "No house style has that name. The show keeps the one it wears." },
      { status: 404 },
    );
  await getServices(context).wearStyle(style);
  return Response.json({ worn: style.name });
}
