import { only } from "../rights.server.ts";
import { ScreensView } from "../screens/ScreensView.tsx";
import { getServices } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/screens.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs) {
  const { media, screens, templates } = getServices(context);
  return {
    venue: screens.venue,
    made: templates
      .wardrobes()
      .flatMap(({ templates: offering }) =>
        [...offering.values()].flatMap((offered) => offered.map(({ template }) => template.canvas)),
      ),
    pictures: media
      .list()
      .flatMap(({ info }) =>
        info.type === "picture"
          ? [{ file: info.file, name: info.name, widthPx: info.widthPx, heightPx: info.heightPx }]
          : [],
      ),
  };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("screens") }];

export default function ScreensRoute({ loaderData }: Route.ComponentProps) {
  return <ScreensView {...loaderData} />;
}
