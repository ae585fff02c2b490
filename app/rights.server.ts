import type { MiddlewareFunction } from "react-router";
import type { Capability } from "../core/show/capabilities.ts";
import { closedByMode, DESK_HEADER } from "../server/access/deskMode.ts";
import { judge, type Right } from "../server/access/rights.ts";
import { closedAnswer } from "../server/http/plainPage.ts";
import { allowedServices, requestFacts } from "../server/http/requestContext.ts";
import type { DeclaresRight } from "../server/http/routeRights.ts";
import { refuse } from "./answers.server.ts";

/**
 * Who may come in: every route begins with this. Loaders and actions get the services from it alone, so that a route
 * without it can do nothing.
 * @param changes what a request takes that is more than a look; "see" where it changes nothing after all
 */
export function only(
  right: Right,
  changes: Capability = "edit",
): MiddlewareFunction<Response> & DeclaresRight {
  const guard: MiddlewareFunction<Response> = async ({ context, params, request }, next) => {
    const { services, access, allowFraming } = context.get(requestFacts());
    const judged = judge(right, access.caller, params.token, services.links);
    if (!judged.opens) {
      const { status, sentence } = judged;
      const { type, body } = closedAnswer(
        request.method,
        request.headers.get("accept") ?? "",
        status,
        sentence,
      );
      return new Response(body, { status, headers: { "Content-Type": type, "Cache-Control": "no-store" } });
    }
    const closed =
      request.method === "GET" || request.method === "HEAD"
        ? undefined
        : closedByMode(request.headers.get(DESK_HEADER), changes, (id) => services.live.grantOf(id));
    if (closed !== undefined) return refuse(closed, "forbidden");
    context.set(allowedServices(), services);
    // Outputs and the multi-view may stand in a page of the venue's own; the desk in none.
    if (right === "output" || right === "watch") allowFraming();
    return next();
  };
  return Object.assign(guard, { right });
}
