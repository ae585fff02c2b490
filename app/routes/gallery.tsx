import { lazy, Suspense } from "react";
import { only } from "../rights.server.ts";
import { titleOf } from "../views.ts";
import type { Route } from "./+types/gallery.ts";

// Templates of its own stand in it, which the server would read at every start.
const GalleryView = lazy(() =>
  import("../gallery/GalleryView.tsx").then((file) => ({ default: file.GalleryView })),
);

export const middleware = [only("desk")];

export const meta: Route.MetaFunction = () => [{ title: titleOf("gallery") }];

/** Not in the menu: every object in every mode at several instants, for eyes. */
export default function GalleryRoute() {
  return (
    <Suspense>
      <GalleryView />
    </Suspense>
  );
}
