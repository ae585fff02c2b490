import { z } from "zod";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/screensLink.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.strictObject({
  kind: z.enum(["renew", "renewWatch", "pair"]),
  id: z.string().min(1).max(60),
});

/** A new link for an output or for those who watch (the old one opens nothing any more), or a short code for a device. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return Response.json({ sentence: body.problem }, { status: 400 });
  const { links, pairing } = getServices(context);
  const { kind, id } = body.value;
  if (kind === "pair") return Response.json({ code: pairing.codeFor(id) });
  const token = await links.renew(kind === "renewWatch" ? "watch" : { outputId: id });
  return Response.json(token === undefined ? { sentence: "That screen is not there any more." } : { token });
}
