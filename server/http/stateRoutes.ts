import type { Response } from "express";
import { t } from "../../core/language/t.ts";
import { plainState } from "../../core/report/plainState.ts";
import type { Services } from "../services/services.ts";
import type { Doors } from "./doors.ts";
import { sayPlainly } from "./plainPage.ts";

/** Programs that may follow at once. */
const MOST_FOLLOWING = 32;
/** Changes are told together this often at most. */
const TELL_EVERY_MS = 100;
/** Something is said this often, so that whatever lies between keeps the connection. */
const SAY_EVERY_MS = 15_000;

/** What is on air as JSON, once and as a stream of events (text/event-stream), for those with the link that only watches. */
export function addStateRoutes(doors: Doors, services: Services): void {
  const { host, rundown, screens, contents, follow, links, now } = services;
  const told = () =>
    JSON.stringify(
      plainState(
        host.state,
        {
          cues: rundown.ready(),
          outputs: screens.outputs,
          findContent: (hash) => {
            const content = contents.find(hash);
            return content?.kind === "page" ? content : undefined;
          },
          sourceName: follow.names.source,
        },
        Math.round(now()),
      ),
    );
  const following = new Map<Response, string>();
  let _telling: ReturnType<typeof setTimeout> | undefined;
  const tellSoon = () => {
    if (following.size === 0) return;
    _telling ??= setTimeout(() => {
      _telling = undefined;
      const event = `event: state\ndata: ${told()}\n\n`;
      for (const response of following.keys()) response.write(event);
    }, TELL_EVERY_MS);
  };
  host.onEvent(tellSoon);
  rundown.onChange(tellSoon);
  links.onRevoked((token) => {
    for (const [response, of] of following) if (of === token) response.end();
  });

  doors.get("watch", "/state/:token", (_request, response) => {
    response.setHeader("Cache-Control", "no-store");
    response.type("application/json").send(told());
  });
  doors.get("watch", "/state/:token/events", (request, response) => {
    if (following.size >= MOST_FOLLOWING)
      return sayPlainly(response, 429, t`${MOST_FOLLOWING} programs follow already. End one of them first.`);
    response.writeHead(200, { "Content-Type": "text/event-stream", "Cache-Control": "no-store" });
    response.write(`event: state\ndata: ${told()}\n\n`);
    following.set(response, String(request.params.token));
    const saying = setInterval(() => response.write(": still here\n\n"), SAY_EVERY_MS);
    saying.unref();
    response.on("close", () => {
      clearInterval(saying);
      following.delete(response);
    });
  });
}
