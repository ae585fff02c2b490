import { only } from "../rights.server.ts";
import { getServices, isFresh, shownStyles } from "../services.server.ts";
import { titleOf } from "../views.ts";
import { WelcomeView } from "../welcome/WelcomeView.tsx";
import type { Route } from "./+types/welcome.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs) {
  const services = getServices(context);
  const [wardrobe] = services.templates.wardrobes();
  return {
    fresh: isFresh(services),
    place: services.house.place,
    styles: shownStyles(services.designs),
    wornStyleId: services.house.styleId,
    templates: ["backdrop", "title"].flatMap((set) => wardrobe?.templates.get(set)?.[0]?.template ?? []),
    texts: services.scriptures.list().map(({ code, name, language }) => ({ code, name, language })),
  };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("welcome") }];

export default function WelcomeRoute({ loaderData }: Route.ComponentProps) {
  return <WelcomeView {...loaderData} />;
}
