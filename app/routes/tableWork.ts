import { tell } from "../answers.server.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/tableWork.ts";

export const middleware = [only("desk")];

const MOST_CHANGES = 100;

/** Who changed what in a table that is edited here, and the links by which others may. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const { tables, links } = getServices(context);
  return tell("/table-work/", {
    changes: await tables.changesOf(params.id, MOST_CHANGES),
    links: links.made("entry").filter(({ doc }) => doc.feedId === params.id),
  });
}
