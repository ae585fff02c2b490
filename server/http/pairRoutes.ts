import type { Express } from "express";
import type { Services } from "../services.ts";

const page = (sentence: string) => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><link rel="icon" href="/favicon.svg"><title>Screen · Vesko</title>
<style>body{background:#15110f;color:#f4ebdd;font:24px system-ui,sans-serif;display:grid;place-content:center;min-height:90vh;text-align:center;gap:20px}
input{font:48px ui-monospace,monospace;width:8ch;text-align:center;background:#1d1815;color:inherit;border:2px solid #7d6c5f;border-radius:10px;padding:12px}
button{font:inherit;font-weight:700;background:#7fc8b5;border:0;border-radius:10px;padding:14px 28px}</style></head>
<body><form method="get" action="/screen"><h1>This device becomes a screen</h1>
<p><label for="code">${sentence}</label></p>
<p><input id="code" name="code" inputmode="numeric" autocomplete="off" maxlength="6" autofocus> <button>Show</button></p></form></body></html>`;

/** Where a device types the short code that the desk shows for an output. */
export function addPairRoutes(app: Express, services: Services): void {
  app.get("/screen", (request, response) => {
    response.setHeader("Cache-Control", "no-store");
    const code =
      typeof request.query.code === "string" ? request.query.code.replace(/\D/g, "").slice(0, 6) : "";
    if (code === "") {
      response.type("html").send(page("Type the six figures that the desk shows."));
      return;
    }
    const outputId = services.pairing.redeem(code);
    if (outputId === "tooMany")
      response
        .status(429)
        .type("html")
        .send(page("Too many codes were tried. Wait a minute, then type it again."));
    else if (outputId === undefined || !services.screens.outputs.some(({ id }) => id === outputId))
      response
        .status(404)
        .type("html")
        .send(page("That code is not valid, or was used. Ask the desk for a new one."));
    else response.redirect(`/out/${services.links.tokenOfOutput(outputId)}`);
  });
}
