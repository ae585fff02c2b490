import type { Request, Response } from "express";
import { z } from "zod";
import { t } from "../../core/language/t.ts";
import { problemOf } from "../../core/wire/problem.ts";
import { cookieName } from "../access/access.ts";
import type { Services } from "../services/services.ts";
import { readBody } from "./bodies.ts";
import type { Doors } from "./doors.ts";
import { plainPage, sayPlainly } from "./plainPage.ts";

const requestSchema = z.strictObject({ passcode: z.string().min(1).max(200) });

const PAGE = plainPage(
  "Desk",
  `<form id="form"><h1>The desk from another machine</h1>
<p><label for="passcode">The venue’s passcode</label></p>
<p><input id="passcode" type="password" autocomplete="current-password" autofocus> <button>Open</button></p>
<p id="say" role="alert"></p></form>`,
  "/enter.js",
);

/** Ways to the desk from another machine: its link, or the venue's passcode when one is set. */
export function addEnterRoutes(doors: Doors, services: Services): void {
  const { links, passcode, sessions, guesses } = services;
  const letIn = async (request: Request, response: Response, way: "link" | "passcode") => {
    const { caller, peer } = doors.access(request);
    // A browser that is in already keeps the session it has.
    if (caller.kind !== "stranger") return;
    const cookie = await sessions.begin(way, peer.address, request.headers["user-agent"] ?? "");
    response.cookie(cookieName(peer), cookie, {
      httpOnly: true,
      sameSite: "strict",
      secure: peer.isSecure,
      path: "/",
      maxAge: 180 * 24 * 3_600_000,
    });
  };

  doors.get("anyone", "/enter", (_request, response) => {
    response.setHeader("Cache-Control", "no-store");
    response.type("html").send(PAGE);
  });
  doors.post("anyone", "/enter", "application/json", async (request, response) => {
    const { address } = doors.access(request).peer;
    const waitMs = guesses.waitMs(address);
    const body = requestSchema.safeParse(readJson(await readBody(request, "passcode")));
    if (waitMs > 0) {
      response.setHeader("Retry-After", Math.ceil(waitMs / 1_000));
      response
        .status(429)
        .json(
          problemOf(
            "refused",
            t`Too many wrong tries from this device. Wait ${Math.ceil(waitMs / 1_000)} seconds; the show goes on meanwhile.`,
          ),
        );
    } else if (!passcode.isSet)
      response
        .status(403)
        .json(
          problemOf(
            "forbidden",
            t`No passcode is set. Set one on the machine the desk runs on, or use the desk link printed there.`,
          ),
        );
    else {
      // Counted before it is looked at: many at once are no way round.
      guesses.wrong(address);
      const matches = body.success ? await passcode.matches(body.data.passcode) : false;
      if (matches === "busy")
        response
          .status(429)
          .json(problemOf("refused", t`Many are trying at once. Wait a moment and try again.`));
      else if (!matches) response.status(403).json(problemOf("forbidden", t`That is not the passcode.`));
      else {
        guesses.right(address);
        await letIn(request, response, "passcode");
        response.json({});
      }
    }
  });
  doors.get("anyone", "/enter/:token", async (request, response) => {
    const link = links.find(String(request.params.token));
    if (link?.kind !== "desk")
      return sayPlainly(
        response,
        404,
        t`This desk link is not valid, or not any more. Ask whoever runs the show.`,
      );
    response.setHeader("Cache-Control", "no-store");
    // Whoever only asks whether it is there is not let in by that.
    if (request.method === "HEAD") return void response.end();
    await letIn(request, response, "link");
    response.redirect("/run");
  });
}

function readJson(body: Buffer): unknown {
  try {
    return JSON.parse(body.toString("utf8"));
  } catch {
    return undefined;
  }
}
