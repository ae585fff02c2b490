import { randomBytes } from "node:crypto";
import { join } from "node:path";
import { createRequestHandler } from "@react-router/express";
import express, { type Express, type RequestHandler } from "express";
import type { ServerBuild } from "react-router";
import { readAccess } from "../access/access.ts";
import type { Peer, ReadPeer } from "../access/peer.ts";
import type { Services } from "../services.ts";
import { BODY_LIMITS, BodyTooLarge } from "./bodies.ts";
import { Doors, FOREIGN, tellFailure } from "./doors.ts";
import { addEnterRoutes } from "./enterRoutes.ts";
import { addHealthRoutes } from "./healthRoutes.ts";
import { addMediaRoutes } from "./mediaRoutes.ts";
import { addPairRoutes } from "./pairRoutes.ts";
import { sayPlainly } from "./plainPage.ts";
import { createRequestContext } from "./requestContext.ts";
import { guardRoutes } from "./routeRights.ts";
import { addStillRoutes } from "./stillRoutes.ts";
import { addWordsRoutes } from "./wordsRoutes.ts";

/** How a page of this server may be made: nothing from outside, and scripts that this very answer names. */
function contentPolicy(
  { host, isSecure }: Peer,
  nonce: string,
  isDev: boolean,
  framedBy: "'none'" | "*",
): string {
  // Not every browser counts the live channel as 'self'.
  const live = /^[\w.[\]:-]+$/.test(host) ? ` ${isSecure ? "wss" : "ws"}://${host}` : "";
  return [
    "default-src 'self'",
    // WebAssembly is the shaper. While it is developed, the tools write scripts of their own into the page.
    `script-src 'self' 'wasm-unsafe-eval' ${isDev ? "'unsafe-inline'" : `'nonce-${nonce}'`}`,
    // Places and colours of what is drawn are styles of elements.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "media-src 'self' blob:",
    "worker-src 'self'",
    `connect-src 'self'${live}`,
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    `frame-ancestors ${framedBy}`,
  ].join("; ");
}

/** All of HTTP: fonts, built files, pages. Nothing is read from the disk by a name that a client chose. */
export function createHttpApp(
  services: Services,
  readPeer: ReadPeer,
  build: ServerBuild | (() => Promise<ServerBuild>),
  assets: { readonly folder: string } | { readonly middleware: RequestHandler },
): Express {
  const app = express();
  app.disable("x-powered-by");
  const isDev = "middleware" in assets;
  app.use((request, response, next) => {
    const peer = readPeer(request);
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("Referrer-Policy", "same-origin");
    if (!peer.isKnownHost)
      return sayPlainly(
        response,
        421,
        "This server is not called by that name. Use the link it printed at start.",
      );
    const nonce = randomBytes(16).toString("base64");
    response.locals.nonce = nonce;
    const setPolicy = (framedBy: "'none'" | "*") =>
      response.setHeader("Content-Security-Policy", contentPolicy(peer, nonce, isDev, framedBy));
    setPolicy("'none'");
    response.locals.allowFraming = () => setPolicy("*");
    response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
    if (peer.isSecure) response.setHeader("Strict-Transport-Security", "max-age=31536000");
    next();
  });

  if ("folder" in assets) {
    app.use(
      "/assets",
      express.static(join(assets.folder, "assets"), { immutable: true, maxAge: "1y", fallthrough: false }),
    );
    app.use(express.static(assets.folder, { index: false }));
  } else app.use(assets.middleware);

  const doors = new Doors(app, services, readPeer);
  addHealthRoutes(doors, services);
  addEnterRoutes(doors, services);
  addMediaRoutes(doors, services);
  addStillRoutes(doors, services);
  addPairRoutes(doors, services);
  addWordsRoutes(doors, services);
  doors.check();

  app.use((request, response, next) => {
    const access = readAccess(request, readPeer, services.sessions);
    const changes = request.method !== "GET" && request.method !== "HEAD";
    // A page of another origin can send a form here unseen; it can neither name this origin nor send JSON so.
    if (changes && !(access.isOwnOrigin && request.is("application/json")))
      return sayPlainly(response, 403, FOREIGN);
    if (Number(request.headers["content-length"] ?? 0) > BODY_LIMITS.action)
      return tellFailure(response, new BodyTooLarge("action"));
    next();
  });
  const guarded = typeof build === "function" ? async () => guardRoutes(await build()) : guardRoutes(build);
  app.use(
    createRequestHandler({
      build: guarded,
      getLoadContext: (request, response) =>
        createRequestContext({
          services,
          access: readAccess(request, readPeer, services.sessions),
          nonce: String(response.locals.nonce),
          allowFraming: response.locals.allowFraming,
        }),
    }),
  );
  return app;
}
