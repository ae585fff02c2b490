import { data } from "react-router";
import { t } from "../../core/language/t.ts";
import { EntryView } from "../entry/EntryView.tsx";
import { only } from "../rights.server.ts";
import { getServices, tableOfLink } from "../services.server.ts";
import type { Route } from "./+types/entry.ts";

export const middleware = [only("entry")];

export function loader({ params, context }: Route.LoaderArgs) {
  const { links, feeds } = getServices(context);
  const link = links.find(params.token);
  const table = link?.kind === "entry" ? tableOfLink(feeds, link) : undefined;
  if (!table) throw data(t`This table is not there any more.`, { status: 404 });
  return { token: params.token, table };
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: loaderData ? `${loaderData.table.tableName} · ${loaderData.table.name}` : t`Table` },
];

export default function EntryRoute({ loaderData }: Route.ComponentProps) {
  return <EntryView key={loaderData.token} token={loaderData.token} start={loaderData.table} />;
}
