import { designRefSchema } from "../../core/design/designEdit.ts";
import { t } from "../../core/language/t.ts";
import { refuse, tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices, versionsTold } from "../services.server.ts";
import type { Route } from "./+types/designVersions.ts";

export const middleware = [only("desk")];

/** The versions of a thing of Design, with what was new in each. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const of = designRefSchema.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!of.success) return refuse(t`What is asked for was not understood.`, "notUnderstood");
  return tell("/design-versions", { versions: await versionsTold(getServices(context).designs, of.data) });
}
