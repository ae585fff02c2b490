import { z } from "zod";
import { entryLinkSchema } from "../../core/feeds/entryLink.ts";
import { feedIdSchema } from "../../core/feeds/feed.ts";
import { t } from "../../core/language/t.ts";
import { answer, refuse } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/entryLink.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const MOST_LINKS = 100;
const id = feedIdSchema;
const requestSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("make"), id, link: entryLinkSchema }),
  z.strictObject({ kind: z.literal("end"), id }),
  z.strictObject({ kind: z.literal("code"), id }),
]);

/** Links by which somebody with a phone may change some cells of a table: made, ended, and short codes for them. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { links, feeds, pairing } = getServices(context);
  const wanted = body.value;
  switch (wanted.kind) {
    case "make": {
      const doc = feeds.find(wanted.link.feedId)?.doc;
      if (doc?.source.kind !== "table") return refuse(t`That table is not there any more.`, "gone");
      if (doc.keyColumn === "")
        return refuse(
          t`Choose first which column names the rows of this table: a link means rows by their names.`,
        );
      if (links.made("entry").length >= MOST_LINKS)
        return refuse(t`There are ${MOST_LINKS} links, the most there can be. End one first.`);
      if (!links.findMade("entry", wanted.id)) await links.make("entry", wanted.id, wanted.link);
      return answer("/entry-link", {});
    }
    case "end":
      await links.end("entry", wanted.id);
      return answer("/entry-link", {});
    case "code":
      return links.findMade("entry", wanted.id)
        ? answer("/entry-link", { code: pairing.codeFor({ kind: "entry", id: wanted.id }) })
        : refuse(t`That link has ended.`, "gone");
  }
}
