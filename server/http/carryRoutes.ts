import { z } from "zod";
import { sentIdSchema } from "../../core/carry/carryView.ts";
import { t } from "../../core/language/t.ts";
import { problemOf } from "../../core/wire/problem.ts";
import type { Services } from "../services/services.ts";
import { bodyParts } from "./bodies.ts";
import type { Doors } from "./doors.ts";
import { sayPlainly } from "./plainPage.ts";

const comingSchema = z.strictObject({
  name: z.string().min(1).max(300),
  bytes: z.coerce.number().int().min(0),
  changedAtMs: z.coerce.number(),
});
const pieceSchema = z.strictObject({ id: sentIdSchema, at: z.coerce.number().int().min(0) });

/** Show files out, and in by pieces, so that one that broke off is gone on with. Only the desk reaches these. */
export function addCarryRoutes(doors: Doors, services: Services): void {
  const { carry } = services;
  doors.get("desk", "/files/show/saved/:id", (request, response) => {
    const saved = carry.findSaved(String(request.params.id));
    if (!saved)
      return sayPlainly(
        response,
        404,
        t`That show file is not here any more. Save it again in “Show files and copies”.`,
      );
    response.setHeader("Cache-Control", "no-store");
    response.attachment(saved.fileName);
    response.type("application/zip").sendFile(saved.path, { acceptRanges: true, dotfiles: "allow" });
  });
  doors.get("desk", "/files/show/have", (request, response) => {
    const coming = comingSchema.safeParse(request.query);
    if (!coming.success) return void response.status(400).json(problemOf("notUnderstood", NOT_SAID));
    response.setHeader("Cache-Control", "no-store");
    const expected = carry.expect(coming.data);
    if ("problem" in expected) response.status(422).json(problemOf("refused", expected.problem));
    else response.json(expected);
  });
  doors.post("desk", "/files/show/piece", "application/octet-stream", async (request, response) => {
    const piece = pieceSchema.safeParse(request.query);
    if (!piece.success) return void response.status(400).json(problemOf("notUnderstood", NOT_SAID));
    const { id, at } = piece.data;
    const came = await carry.append(id, at, bodyParts(request, "showFilePiece"));
    if ("problem" in came) response.status(422).json(problemOf("refused", came.problem));
    else response.json(came);
  });
}

const NOT_SAID = t`Which file it is was not said. Nothing was opened; load this page again.`;
