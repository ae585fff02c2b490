import type { LibraryData } from "../api/loaded.ts";
import { LibraryView } from "../library/LibraryView.tsx";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/library.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs): LibraryData {
  const { media, rundown, fonts } = getServices(context);
  const views = rundown.views();
  const titles = new Map(rundown.ready().map(({ cueId, content }) => [cueId, content.title]));
  return {
    fonts: fonts.list(),
    items: media.list().map(({ id, info }) => ({
      id,
      info,
      usedBy: views.flatMap(({ cueId, doc }) =>
        doc.kind === "page" && Object.values(doc.values).includes(id) ? [titles.get(cueId) ?? "a cue"] : [],
      ),
    })),
  };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("library") }];

export default function LibraryRoute({ loaderData }: Route.ComponentProps) {
  return <LibraryView {...loaderData} />;
}
