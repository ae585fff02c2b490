import express, { type Express, type Response } from "express";
import { z } from "zod";
import type { Services } from "../services.ts";
import { DESK_COOKIE, sameToken } from "./guard.ts";

/** Passcodes tried in a minute, from anywhere. */
const MOST_TRIES_A_MINUTE = 10;
const requestSchema = z.strictObject({ passcode: z.string().min(1).max(200) });

const PAGE = `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><link rel="icon" href="/favicon.svg"><title>Desk · Vesko</title>
<style>body{background:#15110f;color:#f4ebdd;font:20px system-ui,sans-serif;display:grid;place-content:center;min-height:90vh;text-align:center;gap:16px}
input{font:26px ui-monospace,monospace;background:#1d1815;color:inherit;border:2px solid #7d6c5f;border-radius:10px;padding:10px}
button{font:inherit;font-weight:700;background:#7fc8b5;border:0;border-radius:10px;padding:12px 24px}</style></head>
<body><main><form id="form"><h1>The desk from another machine</h1>
<p><label for="passcode">The venue’s passcode</label></p>
<p><input id="passcode" type="password" autocomplete="current-password" autofocus> <button>Open</button></p>
<p id="say" role="alert"></p></form></main>
<script>
document.getElementById("form").addEventListener("submit", async (event) => {
  event.preventDefault();
  const say = document.getElementById("say");
  try {
    const answer = await fetch("/enter", { method: "POST", headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ passcode: document.getElementById("passcode").value }) });
    if (answer.ok) location.href = "/run"; else say.textContent = (await answer.json()).sentence;
  } catch { say.textContent = "The server cannot be reached. Try again."; }
});
</script></body></html>`;

/** Ways to the desk from another machine: its link, or the venue's passcode when one is set. */
export function addEnterRoutes(app: Express, services: Services): void {
  const { links, passcode, now } = services;
  let minute = 0;
  let tries = 0;
  const letIn = (response: Response) =>
    response.cookie(DESK_COOKIE, links.deskToken, { httpOnly: true, sameSite: "strict" });

  app.get("/enter", (_request, response) => {
    response.setHeader("Cache-Control", "no-store");
    response.type("html").send(PAGE);
  });
  app.post("/enter", express.json({ limit: "2kb" }), async (request, response) => {
    const thisMinute = Math.floor(now() / 60_000);
    if (thisMinute !== minute) {
      minute = thisMinute;
      tries = 0;
    }
    tries++;
    const body = requestSchema.safeParse(request.body);
    if (tries > MOST_TRIES_A_MINUTE)
      response.status(429).json({ sentence: "Too many tries. Wait a minute; the show goes on meanwhile." });
    else if (!passcode.isSet)
      response.status(403).json({
        sentence:
          "No passcode is set. Set one on the machine the desk runs on, or use the desk link printed there.",
      });
    else if (body.success && (await passcode.matches(body.data.passcode))) letIn(response).json({});
    else response.status(403).json({ sentence: "That is not the passcode." });
  });
  app.get("/enter/:token", (request, response) => {
    if (!sameToken(request.params.token, links.deskToken)) {
      response.status(404).type("text").send("This desk link is not valid.");
      return;
    }
    letIn(response).redirect("/run");
  });
}
