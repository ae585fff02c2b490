import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { nameSchema } from "../../core/names/name.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices, whyFontStays } from "../services.server.ts";
import type { Route } from "./+types/libraryRemove.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({ kind: z.enum(["media", "font"]), id: nameSchema(80) });

/** Takes a picture, a clip or a font out of the library. What is on air keeps it; a font that something is set in stays. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const services = getServices(context);
  const { media, removeFont } = services;
  const { kind, id } = body.value;
  const kept = kind === "font" ? whyFontStays(services, id) : undefined;
  if (kept !== undefined) return refuse(kept);
  const wasThere = kind === "media" ? await media.remove(id) : await removeFont(id);
  return wasThere ? answer("/library-remove", {}) : refuse(t`That is not in the library any more.`, "gone");
}
