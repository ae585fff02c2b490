import { index, layout, type RouteConfig, route } from "@react-router/dev/routes";

export default [
  index("routes/home.tsx"),
  layout("routes/desk.tsx", [route("run", "routes/run.tsx"), route("prepare", "routes/prepare.tsx")]),
  route("edit", "routes/edit.ts"),
  route("understand", "routes/understand.ts"),
  route("out/:token", "routes/out.tsx"),
] satisfies RouteConfig;
