import { index, layout, type RouteConfig, route } from "@react-router/dev/routes";

export default [
  index("routes/home.tsx"),
  layout("routes/desk.tsx", [
    route("run", "routes/run.tsx"),
    route("prepare", "routes/prepare.tsx"),
    route("looks", "routes/looks.tsx"),
    route("library", "routes/library.tsx"),
    route("gallery", "routes/gallery.tsx"),
  ]),
  route("edit", "routes/edit.ts"),
  route("library-key", "routes/libraryKey.ts"),
  route("wear-style", "routes/wearStyle.ts"),
  route("bring-template", "routes/bringTemplate.ts"),
  route("understand", "routes/understand.ts"),
  route("out/:token", "routes/out.tsx"),
] satisfies RouteConfig;
