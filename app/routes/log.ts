import { tellStory } from "../../core/report/airStory.ts";
import { lineOfRow } from "../../core/report/reportRow.ts";
import { contentsIn } from "../../core/show/events.ts";
import { tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/log.ts";

export const middleware = [only("desk")];

/** Lines shown: an evening has some hundreds. */
const MOST_LINES = 1_000;

/** What was done, on the air, in the rehearsal or to tables: the latest lines, in order. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const { follow, airLog, live, contents, show, screens, tables } = getServices(context);
  const of = new URL(request.url).searchParams.get("of");
  if (of === "tables") return tell("/log", { lines: await tables.story(MOST_LINES) });
  const isRehearsal = of === "rehearsal";
  const { rehearsal } = live;
  const log = isRehearsal ? rehearsal.log.slice(-MOST_LINES) : await airLog.latest(MOST_LINES);
  // What was only rehearsed is not stored.
  const known = isRehearsal
    ? rehearsal.contents
    : await contents.read(log.flatMap(({ event }) => contentsIn(event)));
  // Of what is long past, lines are all that is kept.
  const past =
    isRehearsal || log.length >= MOST_LINES ? [] : await airLog.latestRows(MOST_LINES - log.length);
  const lines = tellStory(log, {
    findContent: (hash) => {
      const found = known.get(hash);
      return found?.kind === "page" ? found : undefined;
    },
    layerName: (id) => show.layers.find((layer) => layer.id === id)?.name ?? id,
    sourceName: follow.names.source,
    outputName: (id) => screens.outputs.find((output) => output.id === id)?.name ?? id,
  });
  return tell("/log", { lines: [...past.map(lineOfRow), ...lines] });
}
