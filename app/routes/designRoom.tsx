import { data } from "react-router";
import { t } from "../../core/language/t.ts";
import type { RoomData } from "../api/loaded.ts";
import { RoomView } from "../design/room/RoomView.tsx";
import { only } from "../rights.server.ts";
import { designAsItIs, getServices, shownElsewhere, shownStyles } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/designRoom.ts";

export const middleware = [only("desk")];

export async function loader({ params, context }: Route.LoaderArgs): Promise<RoomData> {
  const { designs, house, media, fonts, links } = getServices(context);
  const found = await designAsItIs(designs, { kind: "template", id: params.id }, links.deskToken);
  if ("problem" in found || found.doc.kind !== "template")
    throw data({ gone: t`That template is not here any more.` }, { status: 404 });
  const fields = await designAsItIs(designs, { kind: "fieldSet", id: found.doc.fieldSet }, links.deskToken);
  if ("problem" in fields || fields.doc.kind !== "fieldSet")
    throw data(
      {
        gone: t`The template is for fields called “${found.doc.fieldSet}”, which are not here any more. It can be opened once they are put back.`,
      },
      { status: 404 },
    );
  const sampleOf = (type: "picture" | "video") => media.list().find(({ info }) => info.type === type) ?? null;
  return {
    id: params.id,
    doc: found.doc,
    state: { ...found.state, undo: null, redo: null },
    shownElsewhere: shownElsewhere(designs, found.doc.fieldSet, params.id),
    fieldSet: { doc: fields.doc, state: { ...fields.state, undo: null, redo: null } },
    styles: shownStyles(designs),
    wornStyleId: house.styleId,
    samples: { picture: sampleOf("picture"), clip: sampleOf("video") },
    media: media.list().map(({ hash, info }) => ({ hash, info })),
    fonts: fonts.list().map(({ id, name }) => ({ id, name })),
  };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("design") }];

export default function DesignRoomRoute({ loaderData }: Route.ComponentProps) {
  return <RoomView key={loaderData.id} {...loaderData} />;
}
