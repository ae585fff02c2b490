import { CarryView } from "../carry/CarryView.tsx";
import { only } from "../rights.server.ts";
import { getServices } from "../services.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/carry.ts";

export const middleware = [only("desk")];

export async function loader({ context }: Route.LoaderArgs) {
  const { evenings, carry } = getServices(context);
  const all = await evenings.list();
  return {
    evenings: all.filter(({ isDeleted }) => !isDeleted).map(({ id, name, cues }) => ({ id, name, cues })),
    jobs: carry.list(),
  };
}

export const meta: Route.MetaFunction = () => [{ title: titleOf("carry") }];

export default function CarryRoute({ loaderData }: Route.ComponentProps) {
  return <CarryView {...loaderData} />;
}
