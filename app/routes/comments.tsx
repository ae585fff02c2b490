import { CommentsView } from "../comments/CommentsView.tsx";
import { only } from "../rights.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/comments.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: titleOf("comments") }];

export default function CommentsRoute() {
  return <CommentsView />;
}
