import express, { type Express, type RequestHandler } from "express";
import { z } from "zod";
import { writeChordPro } from "../../core/words/chordPro.ts";
import { FileProblem } from "../files/scriptureFile.ts";
import type { Services } from "../services.ts";
import { bringSongsIn, fileNameOf, zipSongs } from "../words/songFiles.ts";

const LARGEST_FILE = 64 * 1024 * 1024;
/** Paths that take a file as the body of the request. */
export const FILE_PATHS: ReadonlySet<string> = new Set(["/library", "/files/texts", "/files/songs"]);

const wantedText = z.strictObject({
  fileName: z.string().min(1).max(200),
  name: z.string().trim().max(200).default(""),
  rights: z.string().trim().max(2_000).default(""),
  language: z.string().trim().max(35).default(""),
});
const wantedSongs = z.strictObject({
  fileName: z.string().min(1).max(200),
  actor: z.string().min(8).max(60),
});

/** Scripture texts and songs as files, in and out. Only the desk reaches these. */
export function addWordsRoutes(app: Express, services: Services, deskGuard: RequestHandler): void {
  const file = express.raw({ type: "application/octet-stream", limit: LARGEST_FILE });

  app.post("/files/texts", deskGuard, file, (request, response) => {
    const wanted = wantedText.safeParse(request.query);
    const body: unknown = request.body;
    if (!wanted.success || !Buffer.isBuffer(body) || body.length === 0) {
      response.status(400).json({ problem: "No file came with that. Nothing was brought in." });
      return;
    }
    const problem = services.textImport.start({ ...wanted.data, bytes: body }, services.readAgain);
    if (problem === undefined) response.json({});
    else response.status(409).json({ problem });
  });
  app.get("/files/texts", deskGuard, (_request, response) => {
    response.setHeader("Cache-Control", "no-store");
    response.json(services.textImport.state);
  });

  app.post("/files/songs", deskGuard, file, async (request, response) => {
    const wanted = wantedSongs.safeParse(request.query);
    const body: unknown = request.body;
    if (!wanted.success || !Buffer.isBuffer(body) || body.length === 0) {
      response.status(400).json({ problem: "No file came with that. Nothing was brought in." });
      return;
    }
    const { fileName, actor } = wanted.data;
    try {
      response.json(await bringSongsIn(services.songs, fileName, body, actor, Math.round(services.now())));
    } catch (error) {
      if (!(error instanceof FileProblem)) throw error;
      response.status(400).json({ problem: error.message });
    }
  });
  app.get("/files/songs", deskGuard, async (_request, response) => {
    const zip = await zipSongs(services.songs);
    sendFile(response, "Songs.zip").type("application/zip").send(Buffer.from(zip));
  });
  app.get("/files/songs/:id", deskGuard, async (request, response) => {
    const found = await services.songs.find(String(request.params.id));
    if (!found) {
      response.status(404).type("text").send("That song is not in the library any more.");
      return;
    }
    sendFile(response, `${fileNameOf(found.song)}.cho`)
      .type("text/plain")
      .send(writeChordPro(found.song));
  });
}

function sendFile(response: express.Response, name: string): express.Response {
  response.setHeader("Cache-Control", "no-store");
  return response.attachment(name);
}
