import { designRefSchema } from "../../core/design/designEdit.ts";
import { t } from "../../core/language/t.ts";
import { refuse, tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices, touchesOf } from "../services.server.ts";
import type { Route } from "./+types/designTouches.ts";

export const middleware = [only("desk")];

/** What publishing a thing of Design would touch, and what it is as it is in use. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const of = designRefSchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!of.success) return refuse(t`What is asked for was not understood.`, "notUnderstood");
  const services = getServices(context);
  const { kind, id } = of.data;
  return tell("/design-touches", {
    touches: await touchesOf(services, of.data),
    before: services.designs.find(kind, id)?.published?.doc ?? null,
  });
}
