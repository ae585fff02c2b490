import type { DesignData } from "../api/loaded.ts";
import { DesignView } from "../design/DesignView.tsx";
import { useDeskData } from "../desk/useDeskData.ts";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/design.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs): DesignData {
  const { templates, house, media, fonts } = getServices(context);
  const sampleOf = (type: "picture" | "video") => media.list().find(({ info }) => info.type === type) ?? null;
  return {
    samples: { picture: sampleOf("picture"), clip: sampleOf("video") },
    worn: house.style.name,
    faces: house.style.fonts,
    fonts: fonts.list().map(({ id, name }) => ({ id, name })),
    wardrobes: templates.wardrobes().map(({ outfitId, templates: offering }) => ({
      outfitId,
      templates: [...offering.values()].flatMap((offered) =>
        offered.map(({ template }, rank) => ({ template, isWorn: rank === 0 })),
      ),
    })),
  };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("design") }];

export default function DesignRoute({ loaderData }: Route.ComponentProps) {
  const { outfits } = useDeskData();
  return <DesignView {...loaderData} outfits={outfits} />;
}
