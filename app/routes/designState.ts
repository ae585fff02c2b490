import { z } from "zod";
import { designRefSchema } from "../../core/design/designEdit.ts";
import { t } from "../../core/language/t.ts";
import { refuse, tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { designAsItIs, getServices } from "../services.server.ts";
import type { Route } from "./+types/designState.ts";

export const middleware = [only("desk")];

/** A thing of Design as it is now, for a room that somebody else has changed it for. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const asked = Object.fromEntries(new URL(request.url).searchParams);
  const wanted = z
    .strictObject({ ...designRefSchema.shape, actor: z.string().min(1).max(80) })
    .safeParse(asked);
  if (!wanted.success) return refuse(t`What is asked for was not understood.`, "notUnderstood");
  const { actor, ...of } = wanted.data;
  const found = await designAsItIs(getServices(context).designs, of, actor);
  return "problem" in found ? refuse(found.problem, "gone") : tell("/design-state", found);
}
