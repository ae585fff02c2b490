import { PrepareView } from "../prepare/PrepareView.tsx";
import { only } from "../rights.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/prepare.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: titleOf("prepare") }];

export default PrepareView;
