import { join } from "node:path";
import { createRequestHandler } from "@react-router/express";
import express, { type Express, type RequestHandler } from "express";
import { RouterContextProvider, type ServerBuild } from "react-router";
import { FONT_FILES } from "../fonts.ts";
import { type Services, servicesContext } from "../services.ts";
import { addEnterRoutes } from "./enterRoutes.ts";
import { createDeskGuard, createOriginCheck } from "./guard.ts";
import { addMediaRoutes } from "./mediaRoutes.ts";
import { addPairRoutes } from "./pairRoutes.ts";
import { addStillRoutes } from "./stillRoutes.ts";
import { addWordsRoutes, FILE_PATHS } from "./wordsRoutes.ts";

const LARGEST_BODY = "1mb";
/** Nothing from outside; inline scripts are the framework's own, WebAssembly is the shaper. */
const CONTENT_POLICY = [
  "default-src 'self'",
  "script-src 'self' 'unsafe-inline' 'wasm-unsafe-eval'",
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "media-src 'self' blob:",
  "worker-src 'self'",
  "connect-src 'self' ws: wss:",
  "object-src 'none'",
  "base-uri 'none'",
  "frame-ancestors 'self'",
].join("; ");

/** All of HTTP: fonts, built files, pages. Nothing is read from the disk by a name that a client chose. */
export function createHttpApp(
  services: Services,
  boundHost: string,
  build: ServerBuild | (() => Promise<ServerBuild>),
  assets: { readonly folder: string } | { readonly middleware: RequestHandler },
): Express {
  const app = express();
  app.disable("x-powered-by");
  const { isKnownHost, isOwnOrigin } = createOriginCheck(boundHost);
  app.use((request, response, next) => {
    if (!isKnownHost(request)) {
      response
        .status(421)
        .type("text")
        .send("This server is not called by that name. Use the link it printed at start.");
      return;
    }
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("Referrer-Policy", "same-origin");
    response.setHeader("X-Frame-Options", "SAMEORIGIN");
    response.setHeader("Content-Security-Policy", CONTENT_POLICY);
    next();
  });
  app.use((request, response, next) => {
    // A page of another origin can send a form here unseen; it can neither name this origin nor send JSON so.
    const changes = request.method !== "GET" && request.method !== "HEAD";
    const isFile = FILE_PATHS.has(request.path) && request.is("application/octet-stream");
    if (changes && !(isOwnOrigin(request) && (request.is("application/json") || isFile))) {
      response
        .status(403)
        .type("text")
        .send("Only the desk's own pages can change anything here. Nothing was changed.");
      return;
    }
    next();
  });
  app.use((request, response, next) => {
    const length = Number(request.headers["content-length"] ?? 0);
    // Files have limits of their own.
    if (length <= 1024 * 1024 || FILE_PATHS.has(request.path)) next();
    else
      response
        .status(413)
        .type("text")
        .send(`That is more than ${LARGEST_BODY}. Nothing was saved; send less at once.`);
  });

  app.get("/fonts", (_request, response) => {
    response.setHeader("Cache-Control", "no-store");
    response.json(services.fonts.list().map(({ id, name }) => ({ id, name })));
  });
  app.get("/fonts/:id", (request, response) => {
    const added = services.fonts.list().find(({ id }) => id === request.params.id);
    const file = FONT_FILES.get(request.params.id) ?? (added && services.media.findFile(added.file));
    if (!file) {
      response.status(404).type("text").send("No such font ships.");
      return;
    }
    response.setHeader("Cache-Control", "public, max-age=86400");
    response.type("font/ttf").sendFile(file, { dotfiles: "allow" });
  });

  addEnterRoutes(app, services);

  if ("folder" in assets) {
    app.use(
      "/assets",
      express.static(join(assets.folder, "assets"), { immutable: true, maxAge: "1y", fallthrough: false }),
    );
    app.use(express.static(assets.folder, { index: false }));
  } else app.use(assets.middleware);

  const deskGuard = createDeskGuard(services.links.deskToken);
  addMediaRoutes(app, services, deskGuard);
  addStillRoutes(app, services, deskGuard);
  addPairRoutes(app, services);
  addWordsRoutes(app, services, deskGuard);
  app.use((request, response, next) => {
    if (request.path.startsWith("/out/") || request.path.startsWith("/watch/")) next();
    else deskGuard(request, response, next);
  });
  app.use(
    createRequestHandler({
      build,
      getLoadContext: () => {
        const context = new RouterContextProvider();
        context.set(servicesContext(), services);
        return context;
      },
    }),
  );
  return app;
}
