import { only } from "../rights.server.ts";
import { ScreensView } from "../screens/ScreensView.tsx";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/screens.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs) {
  const { media, screens, wardrobes } = getServices(context);
  return {
    venue: screens.venue,
    made: wardrobes().flatMap(({ templates }) =>
      [...templates.values()].flatMap((offered) => offered.map(({ template }) => template.canvas)),
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

export const meta: Route.MetaFunction = () => [{ title: "Screens · Vesko" }];

export default function ScreensRoute({ loaderData }: Route.ComponentProps) {
  return <ScreensView {...loaderData} />;
}
