import type { Response } from "express";
import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { problemOf } from "../../core/wire/problem.ts";
import { writeChordPro } from "../../core/words/chordPro.ts";
import { fileNameOf } from "../files/packSongs.ts";
import type { Services } from "../services/services.ts";
import { allSongs, bringSongsIn } from "../words/songFiles.ts";
import { bodyParts } from "./bodies.ts";
import type { Doors } from "./doors.ts";
import { sayPlainly } from "./plainPage.ts";
import { runWhileAsked } from "./runWhileAsked.ts";

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
const NO_FILE = t`No file came with that. Nothing was brought in.`;

/** Scripture texts and songs as files, in and out. Only the desk reaches these. */
export function addWordsRoutes(doors: Doors, services: Services): void {
  const { aside, media, songs, textImport } = services;

  doors.post("desk", "/files/texts", "application/octet-stream", async (request, response) => {
    const wanted = wantedText.safeParse(request.query);
    if (!wanted.success) return void response.status(400).json(problemOf("notUnderstood", NO_FILE));
    const file = await media.incoming.receive(bodyParts(request, "scripture"));
    const problem =
      file.bytes === 0 ? NO_FILE : textImport.start({ ...wanted.data, file }, services.readAgain);
    if (problem === undefined) return void response.json({});
    await media.incoming.discard(file);
    response.status(409).json(problemOf("refused", problem));
  });
  doors.get("desk", "/files/texts", (_request, response) => {
    response.setHeader("Cache-Control", "no-store");
    response.json(textImport.state);
  });
  doors.post("desk", "/files/texts/call-off", "application/json", (_request, response) => {
    textImport.callOff();
    response.json({});
  });

  doors.post("desk", "/files/songs", "application/octet-stream", async (request, response) => {
    const wanted = wantedSongs.safeParse(request.query);
    if (!wanted.success) return void response.status(400).json(problemOf("notUnderstood", NO_FILE));
    const { fileName, actor } = wanted.data;
    const file = await media.incoming.receive(bodyParts(request, "songs"));
    await runWhileAsked(response, async (signal) => {
      try {
        const read = await aside.run("readSongFile", { path: file.path, fileName }, signal);
        return "problem" in read ? read : await bringSongsIn(songs, read, actor, Math.round(services.now()));
      } finally {
        await media.incoming.discard(file);
      }
    });
  });
  doors.get("desk", "/files/songs", async (_request, response) => {
    const zip = await aside.run("packSongs", await allSongs(songs));
    sendFile(response, "Songs.zip").type("application/zip").send(Buffer.from(zip));
  });
  doors.get("desk", "/files/songs/:id", async (request, response) => {
    const found = await songs.find(String(request.params.id));
    if (!found) return sayPlainly(response, 404, t`That song is not in the library any more.`);
    sendFile(response, `${fileNameOf(found.song)}.cho`)
      .type("text/plain")
      .send(writeChordPro(found.song));
  });
}

function sendFile(response: Response, name: string): Response {
  response.setHeader("Cache-Control", "no-store");
  return response.attachment(name);
}
