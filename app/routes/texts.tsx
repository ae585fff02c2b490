import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import { TextsView } from "../texts/TextsView.tsx";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/texts.ts";

export const middleware = [only("desk")];

export function loader({ context }: Route.LoaderArgs) {
  const { scriptures, textImport } = getServices(context);
  return {
    texts: scriptures.list().map((info) => ({ ...info, verses: scriptures.verseCount(info.code) })),
    importing: textImport.state,
  };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("texts") }];

export default function TextsRoute({ loaderData }: Route.ComponentProps) {
  return <TextsView {...loaderData} />;
}
