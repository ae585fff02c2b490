import { data } from "react-router";
import { t } from "../../core/language/t.ts";
import type { StyleRoomData } from "../api/loaded.ts";
import { StyleRoomView } from "../design/style/StyleRoomView.tsx";
import { only } from "../rights.server.ts";
import { designAsItIs, getServices, shownWardrobes } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/styleRoom.ts";

export const middleware = [only("desk")];

export async function loader({ params, context }: Route.LoaderArgs): Promise<StyleRoomData> {
  const { designs, house, media, fonts, links } = getServices(context);
  const found = await designAsItIs(designs, { kind: "style", id: params.id }, links.deskToken);
  if ("problem" in found || found.doc.kind !== "style")
    throw data({ gone: t`That house style is not here any more.` }, { status: 404 });
  const sampleOf = (type: "picture" | "video") => media.list().find(({ info }) => info.type === type) ?? null;
  const worn = designs.find("style", house.styleId)?.published;
  return {
    id: params.id,
    doc: found.doc,
    state: { ...found.state, undo: null, redo: null },
    wornStyleId: house.styleId,
    wornVersion: worn && worn.hash === house.styleHash ? worn.number : null,
    samples: { picture: sampleOf("picture"), clip: sampleOf("video") },
    media: media.list().map(({ hash, info }) => ({ hash, info })),
    fonts: fonts.list().map(({ id, name }) => ({ id, name })),
    wardrobes: shownWardrobes(designs),
  };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("design") }];

export default function StyleRoomRoute({ loaderData }: Route.ComponentProps) {
  return <StyleRoomView key={loaderData.id} {...loaderData} />;
}
