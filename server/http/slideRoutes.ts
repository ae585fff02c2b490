import { rm } from "node:fs/promises";
import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { problemOf } from "../../core/wire/problem.ts";
import type { Services } from "../services/services.ts";
import { bodyParts } from "./bodies.ts";
import type { Doors } from "./doors.ts";

/** Kinds that can have no macros by what they are. */
const wantedSchema = z.strictObject({ ending: z.enum([".pptx", ".ppsx"]) });

/** Presentations as PDF, by a program of this machine. Only the desk reaches this. */
export function addSlideRoutes(doors: Doors, services: Services): void {
  const { slideConverter, media } = services;
  doors.post("desk", "/files/slides", "application/octet-stream", async (request, response) => {
    const wanted = wantedSchema.safeParse(request.query);
    const no = !slideConverter
      ? t`No program that makes PDF of slides was named when this server was started.`
      : wanted.success
        ? undefined
        : t`Only presentations without macros are given to another program.`;
    if (no !== undefined || !slideConverter || !wanted.success)
      return void response.status(422).json(problemOf("refused", no ?? ""));
    const file = await media.incoming.receive(bodyParts(request, "media"));
    const asked = new AbortController();
    response.once("close", () => asked.abort());
    try {
      const made = await slideConverter.convert(file.path, wanted.data.ending, asked.signal);
      if (response.destroyed) return;
      if ("problem" in made) response.status(422).json(problemOf("refused", made.problem));
      else {
        response.setHeader("Cache-Control", "no-store");
        response.type("application/pdf").send(made.pdf);
      }
    } finally {
      await rm(file.path, { force: true });
    }
  });
}
