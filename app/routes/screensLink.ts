import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { nameSchema } from "../../core/names/name.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/screensLink.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("renew"), id: nameSchema(60) }),
  z.strictObject({ kind: z.literal("renewWatch") }),
  z.strictObject({ kind: z.literal("renewHook") }),
  z.strictObject({ kind: z.literal("renewSecond") }),
  z.strictObject({ kind: z.literal("pair"), id: nameSchema(60) }),
]);

const SINGLE = { renewWatch: "watch", renewHook: "hook", renewSecond: "second" } as const;

/** A new link for an output, for those who watch, for programs that send messages or for a second machine (the old one opens nothing any more), or a short code for a device. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { links, pairing } = getServices(context);
  const wanted = body.value;
  if (wanted.kind === "pair")
    return answer("/screens-link", { code: pairing.codeFor({ kind: "output", id: wanted.id }) });
  const token = await links.renew(wanted.kind === "renew" ? { outputId: wanted.id } : SINGLE[wanted.kind]);
  return token === undefined
    ? refuse(t`That screen is not there any more.`, "gone")
    : answer("/screens-link", { token });
}
