import { GalleryView } from "../gallery/GalleryView.tsx";
import { only } from "../rights.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/gallery.ts";

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: titleOf("gallery") }];

/** Not in the menu: every object in every mode at several instants, for eyes. */
export default function GalleryRoute() {
  return <GalleryView />;
}
