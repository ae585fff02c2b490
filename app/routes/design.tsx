import type { DesignData } from "../api/loaded.ts";
import { DesignView } from "../design/DesignView.tsx";
import { useDesk } from "../desk/deskContext.ts";
import { only } from "../rights.server.ts";
import { getServices, shownStyles, shownWardrobes } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/design.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs): DesignData {
  const { designs, house, media, fonts } = getServices(context);
  const sampleOf = (type: "picture" | "video") => media.list().find(({ info }) => info.type === type) ?? null;
  return {
    samples: { picture: sampleOf("picture"), clip: sampleOf("video") },
    styles: shownStyles(designs),
    wornStyleId: house.styleId,
    fonts: fonts.list().map(({ id, name }) => ({ id, name })),
    wardrobes: shownWardrobes(designs),
  };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("design") }];

export default function DesignRoute({ loaderData }: Route.ComponentProps) {
  const { outfits } = useDesk("outfits");
  return <DesignView {...loaderData} outfits={outfits} />;
}
