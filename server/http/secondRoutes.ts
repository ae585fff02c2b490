import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { secondWordSchema } from "../../core/second/secondView.ts";
import { problemOf } from "../../core/wire/problem.ts";
import { answerTo } from "../second/secret.ts";
import type { Services } from "../services/services.ts";
import type { Doors } from "./doors.ts";
import { sayPlainly } from "./plainPage.ts";

const cameSchema = z.strictObject({
  port: z.coerce.number().int().min(1).max(65_535),
  secure: z.enum(["0", "1"]),
});

const NO_FILE = t`This show is in no file, so that no second machine can follow it.`;

/** What a second machine asks of the first. Its link alone opens these, for it opens everything. */
export function addSecondRoutes(doors: Doors, services: Services): void {
  const { second, links, giveOver } = services;
  /** Asked by a machine that led before. Which show it is, only one that has it too can tell from the answer. */
  doors.get("anyone", "/second/leads", (request, response) => {
    response.setHeader("Cache-Control", "no-store");
    const question = z.string().max(60).safeParse(request.query.question);
    response.json({ leads: true, answer: answerTo(question.data ?? "", links.secondToken) });
  });
  /** Its page, once it leads: whoever has this link may have the desk, which is among what it opens. */
  doors.get("second", "/second/:token", (request, response) => {
    response.setHeader("Cache-Control", "no-store");
    const isIn = doors.access(request).caller.kind !== "stranger";
    response.redirect(isIn ? "/run" : `/enter/${links.deskToken}`);
  });
  doors.get("second", "/second/:token/state", (_request, response) => {
    response.setHeader("Cache-Control", "no-store");
    response.json({ kind: "leads" });
  });
  doors.get("second", "/second/:token/stream", async (request, response) => {
    const came = cameSchema.safeParse(request.query);
    if (!came.success) return void response.status(400).json(problemOf("notUnderstood", NOT_SAID));
    if (!second) return sayPlainly(response, 409, NO_FILE);
    response.setHeader("Cache-Control", "no-store");
    if (request.method === "HEAD") return void response.end();
    const { address } = doors.access(request).peer;
    const host = address.includes(":") ? `[${address}]` : address;
    response.socket?.setNoDelay(true);
    const isIts = await second.follow(
      response,
      `${came.data.secure === "1" ? "https" : "http"}://${host}:${came.data.port}`,
      String(request.params.token),
    );
    if (!isIts) sayPlainly(response, 409, t`Another machine follows this one already.`);
  });
  doors.get("second", "/second/:token/files", async (request, response) => {
    const word = secondWordSchema.safeParse(request.query);
    if (!word.success) return void response.status(400).json(problemOf("notUnderstood", NOT_SAID));
    response.setHeader("Cache-Control", "no-store");
    response.json((await second?.hear(word.data)) ?? []);
  });
  doors.postFromElsewhere("second", "/second/:token/give-over", async (_request, response) => {
    const gave = await giveOver();
    if (gave) response.json({});
    else
      response
        .status(409)
        .json(problemOf("refused", t`No second machine here could lead. This one goes on.`));
  });
}

const NOT_SAID = t`That is not how a second machine asks. Nothing was changed.`;
