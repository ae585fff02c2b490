import { useDeskData } from "../desk/useDeskData.ts";
import { LooksView } from "../looks/LooksView.tsx";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import type { Route } from "./+types/looks.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs) {
  const { wardrobes, style, media, fonts } = getServices(context);
  const sampleOf = (type: "picture" | "video") => media.list().find(({ info }) => info.type === type) ?? null;
  return {
    samples: { picture: sampleOf("picture"), clip: sampleOf("video") },
    worn: style().name,
    faces: style().fonts,
    fonts: fonts.list().map(({ id, name }) => ({ id, name })),
    wardrobes: wardrobes().map(({ outfitId, templates }) => ({
      outfitId,
      templates: [...templates.values()].flatMap((offered) =>
        offered.map(({ template }, rank) => ({ template, isWorn: rank === 0 })),
      ),
    })),
  };
}

export const meta: Route.MetaFunction = () => [{ title: "Design · Vesko" }];

export default function LooksRoute({ loaderData }: Route.ComponentProps) {
  const { outfits } = useDeskData();
  return <LooksView {...loaderData} outfits={outfits} />;
}
