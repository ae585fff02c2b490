import { readdirSync } from "node:fs";
import { join } from "node:path";
import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { libraryEntrySchema } from "../../core/scene/libraryEntry.ts";
import { problemOf } from "../../core/wire/problem.ts";
import { FONT_FILES } from "../fonts/shippedFonts.ts";
import type { Services } from "../services/services.ts";
import { bodyParts } from "./bodies.ts";
import type { Doors } from "./doors.ts";
import { sayPlainly } from "./plainPage.ts";
import { runWhileAsked } from "./runWhileAsked.ts";

const LARGEST_POSTER = 8 * 1024 * 1024;

const namedSchema = z.object({ name: z.string().min(1).max(200) });

/** Character maps and standard fonts of the PDF reader, by where it asks for them. */
function listPdfParts(home: string): ReadonlyMap<string, string> {
  const root = join(home, "node_modules", "pdfjs-dist");
  return new Map(
    ["cmaps", "standard_fonts"].flatMap((folder) =>
      readdirSync(join(root, folder)).map((name) => [`${folder}/${name}`, join(root, folder, name)] as const),
    ),
  );
}

const describedSchema = z.strictObject({
  id: z.string().min(8).max(60),
  name: z.string().min(1).max(200),
  /** The item whose file it is from now on, by whom; empty: it is a new one. */
  replaces: z.string().max(60).default(""),
  actor: z.string().max(80).default(""),
  folder: libraryEntrySchema.shape.folder.default(""),
  /** Bytes of the still that stands before the file in the body. */
  posterBytes: z.coerce.number().int().min(0).max(LARGEST_POSTER).default(0),
});

/** The library's files: fetched by the hash of their bytes, which nobody can guess, and brought in by the desk. */
export function addMediaRoutes(doors: Doors, services: Services): void {
  doors.get("anyone", "/fonts", (_request, response) => {
    response.setHeader("Cache-Control", "no-store");
    response.json(services.fonts.list().map(({ id, name }) => ({ id, name })));
  });
  doors.get("anyone", "/fonts/:id", (request, response) => {
    const id = String(request.params.id);
    const added = services.fonts.list().find((font) => font.id === id);
    const file = FONT_FILES.get(id) ?? (added && services.media.findFile(added.file));
    if (!file) return sayPlainly(response, 404, t`There is no such font.`);
    response.setHeader("Cache-Control", "public, max-age=86400");
    response.type("font/ttf").sendFile(file, { dotfiles: "allow" });
  });
  doors.get("anyone", "/media/:file", (request, response) => {
    const path = services.media.findFile(String(request.params.file));
    if (path === undefined) return sayPlainly(response, 404, t`That file is not in the library.`);
    // A file that no item names any more, or a clip's still: both are PNG unless an item says otherwise.
    const mime = services.media.list().find(({ info: { file } }) => file === request.params.file)?.info.mime;
    response.setHeader("Cache-Control", "private, max-age=31536000, immutable");
    response.setHeader("Content-Disposition", "inline");
    response.type(mime ?? "image/png");
    response.sendFile(path, { acceptRanges: true, dotfiles: "allow" });
  });

  // What PDFs name and do not carry along: their reader asks for it by these names.
  const pdfParts = listPdfParts(services.home);
  doors.get("anyone", "/pdf/:folder/:file", (request, response) => {
    const path = pdfParts.get(`${request.params.folder}/${request.params.file}`);
    if (path === undefined) return sayPlainly(response, 404, t`There is no such part of a PDF reader.`);
    response.setHeader("Cache-Control", "public, max-age=86400");
    response.type("application/octet-stream").sendFile(path);
  });

  doors.get("desk", "/library/named", (request, response) => {
    const named = namedSchema.safeParse(request.query);
    const file = named.success ? services.media.findPicture(named.data.name)?.file : undefined;
    // That it lacks one is nothing that went wrong.
    if (file === undefined) return void response.status(204).end();
    response.setHeader("Cache-Control", "no-store");
    response.redirect(302, `/media/${file}`);
  });

  doors.post("desk", "/library", "application/octet-stream", async (request, response) => {
    const described = describedSchema.safeParse(request.query);
    if (!described.success)
      return void response
        .status(400)
        .json(problemOf("notUnderstood", t`No file came with that. Nothing was added.`));
    const { id, name, posterBytes, replaces, actor, folder } = described.data;
    const file = await services.media.incoming.receive(bodyParts(request, "media"), posterBytes);
    await runWhileAsked(response, async (signal) => {
      if (/\.(ttf|otf|woff2)$/i.test(name)) return services.addFont(id, name, file, signal);
      const { head: poster } = file;
      if (replaces !== "")
        return services.library.replace({ id: replaces, name, file, poster, key: null }, actor, signal);
      return services.media.add({ id, name, file, poster, key: null, folder }, services.now(), signal);
    });
  });
}
