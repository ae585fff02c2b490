import { contentsOf } from "../../core/show/state.ts";
import type { DeskStart } from "../desk/deskSnapshot.ts";
import { only } from "../rights.server.ts";
import { deskDesigns, getAccess, getServices, jsonOnce, liveTokenOf, wornBy } from "../services.server.ts";
import type { Route } from "./+types/deskStart.ts";

export const middleware = [only("desk")];

/**
 * Where the store of a desk begins, with the contents of thousands of cues: as values of the page's own loader, each of their parts by
 * itself, they would hold the server for a second, and whoever is cueing with it.
 */
export function loader({ context }: Route.LoaderArgs): Response {
  const services = getServices(context);
  const { host, rundown, contents, links, live, buildId, screens, designs } = services;
  const cues = rundown.views();
  const wanted = new Set(contentsOf(host.state));
  for (const { compiled } of cues) if ("hash" in compiled) wanted.add(compiled.hash);
  const documents = new Map<string, string>();
  for (const hash of [...wanted].flatMap((hash) => [hash, ...wornBy(contents, hash)])) {
    const document = documents.has(hash) ? undefined : contents.find(hash);
    if (document) documents.set(hash, `${JSON.stringify(hash)}:${jsonOnce(document)}`);
  }
  const start: Omit<DeskStart, "documents"> = {
    ...deskDesigns(designs),
    outputs: screens.outputs,
    plans: screens.plans,
    deskToken: liveTokenOf(getAccess(context).caller, links),
    buildId,
    state: host.state,
    rundownStamp: live.rundownStamp,
    cues,
    screens: live.screens(),
    venue: services.venue.settings,
    evening: services.evenings.open,
  };
  const json = `{"start":${JSON.stringify(start)},"documents":{${[...documents.values()].join()}}}`;
  return new Response(json, {
    headers: { "Content-Type": "application/json; charset=utf-8", "Cache-Control": "no-store" },
  });
}
