import { ReportView } from "../report/ReportView.tsx";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/report.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: titleOf("report") }];

export async function loader({ context }: Route.LoaderArgs) {
  return { runs: await getServices(context).reports.runs() };
}

export default function ReportRoute({ loaderData }: Route.ComponentProps) {
  return <ReportView runs={loaderData.runs} />;
}
