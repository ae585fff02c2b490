import { index, layout, type RouteConfig, route } from "@react-router/dev/routes";

export default [
  index("routes/home.tsx"),
  layout("routes/desk.tsx", [
    route("run", "routes/run.tsx"),
    route("prepare", "routes/prepare.tsx"),
    route("songs", "routes/songs.tsx"),
    route("texts", "routes/texts.tsx"),
    route("looks", "routes/looks.tsx"),
    route("library", "routes/library.tsx"),
    route("gallery", "routes/gallery.tsx"),
  ]),
  route("edit", "routes/edit.ts"),
  route("find", "routes/find.ts"),
  route("try-out", "routes/tryOut.ts"),
  route("licence", "routes/licence.ts"),
  route("song/save", "routes/songSave.ts"),
  route("song/delete", "routes/songDelete.ts"),
  route("song/:id", "routes/song.ts"),
  route("remove-text", "routes/removeText.ts"),
  route("library-key", "routes/libraryKey.ts"),
  route("wear-style", "routes/wearStyle.ts"),
  route("bring-template", "routes/bringTemplate.ts"),
  route("understand", "routes/understand.ts"),
  route("out/:token", "routes/out.tsx"),
] satisfies RouteConfig;
