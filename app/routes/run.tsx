import { only } from "../rights.server.ts";
import { RunView } from "../run/RunView.tsx";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/run.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: titleOf("run") }];

export default RunView;
