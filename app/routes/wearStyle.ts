import { z } from "zod";
import { byNameSchema } from "../../core/names/name.ts";
import { HOUSE_STYLES } from "../../designs/houseStyles.ts";
import { findTypeface } from "../../designs/typefaces.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/wearStyle.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const wantedSchema = z.strictObject({
  name: z.string().max(80),
  /** Role → what is set in it: a typeface that ships, by name, or a font of the venue, by id. Others as the style has them. */
  fonts: byNameSchema(z.string().max(80)).default({}),
});

/** Dresses the whole show in one of the house styles. The air keeps the one it was taken with. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, wantedSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const style = HOUSE_STYLES.find(({ name }) => name === body.value.name);
  if (!style) return refuse("No house style has that name. The show keeps the one it wears.", "gone");
  const { fonts, wearStyle } = getServices(context);
  const roles = { ...style.fonts };
  for (const [role, wanted] of Object.entries(body.value.fonts)) {
    const face = findTypeface(wanted, fonts.list());
    if (!Object.hasOwn(style.fonts, role) || !face)
      return refuse("That font is not here any more. The show keeps the fonts it has.", "gone");
    roles[role] = face;
  }
  await wearStyle({ ...style, fonts: roles });
  return answer("/wear-style", { worn: style.name });
}
