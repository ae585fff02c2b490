import type { LibraryData } from "../api/loaded.ts";
import { LibraryView } from "../library/LibraryView.tsx";
import { only } from "../rights.server.ts";
import { getServices, usesHere } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/library.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs): LibraryData {
  const services = getServices(context);
  const uses = usesHere(services);
  return {
    colors: services.house.style.colors,
    fonts: services.fonts.list().map(({ id, name, embedding }) => ({ id, name, embedding })),
    items: services.media.list().map(({ id, info, folder, tags }) => ({
      id,
      info,
      folder,
      tags,
      uses: uses.get(id) ?? [],
    })),
  };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("library") }];

export default function LibraryRoute({ loaderData }: Route.ComponentProps) {
  return <LibraryView {...loaderData} />;
}
