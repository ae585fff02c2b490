import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { answer, refuse, tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getAccess, getServices } from "../services.server.ts";
import type { Route } from "./+types/access.ts";
import { readJsonBody } from "./readJsonBody.server.ts";

export const middleware = [only("desk")];

const requestSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("renewDesk") }),
  z.strictObject({ kind: z.literal("endSession"), id: z.string().min(1).max(60) }),
]);

/** The browsers that were let in to the desk, and this one among them. */
export function loader({ context }: Route.LoaderArgs) {
  const { sessions, links } = getServices(context);
  const { caller } = getAccess(context);
  return tell("/access", {
    sessions: sessions.list(),
    ownId: caller.kind === "session" ? caller.sessionId : null,
    // Whoever was let in could otherwise come back with it after being shown out.
    deskLink: caller.kind === "here" ? `/enter/${links.deskToken}` : null,
  });
}

/** Takes access back: a new desk link ends the old one and all it had let in; a session is ended by itself. */
export async function action({ request, context }: Route.ActionArgs) {
  const body = await readJsonBody(request, requestSchema);
  if ("problem" in body) return refuse(body.problem, "notUnderstood");
  const { sessions, links } = getServices(context);
  const { caller } = getAccess(context);
  switch (body.value.kind) {
    case "renewDesk":
      await links.renew("desk");
      await sessions.endAll(caller.kind === "session" ? caller.sessionId : null, "link");
      return answer("/access", {});
    case "endSession": {
      const wasThere = await sessions.end(body.value.id);
      return wasThere ? answer("/access", {}) : refuse(t`That browser was shown out already.`, "gone");
    }
  }
}
