import express, { type Express, type RequestHandler } from "express";
import { z } from "zod";
import type { Services } from "../services.ts";

const LARGEST_FILE = 300 * 1024 * 1024;
const LARGEST_POSTER = 8 * 1024 * 1024;

const describedSchema = z.strictObject({
  id: z.string().min(8).max(60),
  name: z.string().min(1).max(200),
  durationMs: z.coerce.number().positive().max(86_400_000).optional(),
  /** Bytes of the still that stands before the file in the body. */
  posterBytes: z.coerce.number().int().min(0).max(LARGEST_POSTER).default(0),
});

/** The library's files: fetched by the hash of their bytes, which nobody can guess, and brought in by the desk. */
export function addMediaRoutes(app: Express, services: Services, deskGuard: RequestHandler): void {
  app.get("/media/:file", (request, response) => {
    const path = services.media.findFile(request.params.file);
    if (path === undefined) {
      response.status(404).type("text").send("That file is not in the library.");
      return;
    }
    // A file that no item names any more, or a clip's still: both are PNG unless an item says otherwise.
    const mime = services.media.list().find(({ info: { file } }) => file === request.params.file)?.info.mime;
    response.setHeader("Cache-Control", "private, max-age=31536000, immutable");
    response.setHeader("Content-Disposition", "inline");
    response.type(mime ?? "image/png");
    response.sendFile(path, { acceptRanges: true, dotfiles: "allow" });
  });

  app.post(
    "/library",
    deskGuard,
    express.raw({ type: "application/octet-stream", limit: LARGEST_FILE }),
    async (request, response) => {
      const described = describedSchema.safeParse(request.query);
      const body: unknown = request.body;
      if (!described.success || !Buffer.isBuffer(body) || body.length === 0) {
        response.status(400).json({ problem: "No file came with that. Nothing was added." });
        return;
      }
      const { id, name, durationMs, posterBytes } = described.data;
      if (/\.(ttf|otf)$/i.test(name)) {
        response.json(await services.addFont(id, name, body));
        return;
      }
      const added = await services.media.add(
        {
          id,
          name,
          bytes: body.subarray(posterBytes),
          poster: posterBytes > 0 ? body.subarray(0, posterBytes) : null,
          durationMs: durationMs ?? null,
          key: null,
        },
        services.now(),
      );
      response.json(added);
    },
  );
}
