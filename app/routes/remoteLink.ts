import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { nameSchema } from "../../core/names/name.ts";
import { remoteLinkSchema } from "../../core/remote/remoteLink.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/remoteLink.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const MOST_LINKS = 60;
const id = nameSchema(60);
const requestSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("make"), id, link: remoteLinkSchema }),
  z.strictObject({ kind: z.literal("change"), id, link: remoteLinkSchema }),
  z.strictObject({ kind: z.literal("end"), id }),
  z.strictObject({ kind: z.literal("code"), id }),
]);
const ENDED = t`That link has ended. Make a new one.`;

/** Links by which phones are remotes: made, changed, ended, and short codes for them. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { links, live, pairing } = getServices(context);
  const wanted = body.value;
  switch (wanted.kind) {
    case "make":
      if (links.made("remote").length >= MOST_LINKS)
        return refuse(t`There are ${MOST_LINKS} links for phones, the most there can be. End one first.`);
      if (!links.findMade("remote", wanted.id)) await links.make("remote", wanted.id, wanted.link);
      return answer("/remote-link", {});
    case "change":
      if (!links.findMade("remote", wanted.id)) return refuse(ENDED, "gone");
      await links.change("remote", wanted.id, wanted.link);
      live.tellRemotes();
      return answer("/remote-link", {});
    case "end":
      await links.end("remote", wanted.id);
      return answer("/remote-link", {});
    case "code":
      return links.findMade("remote", wanted.id)
        ? answer("/remote-link", { code: pairing.codeFor({ kind: "remote", id: wanted.id }) })
        : refuse(ENDED, "gone");
  }
}
