import { randomBytes } from "node:crypto";
import { join } from "node:path";
import { createRequestHandler } from "@react-router/express";
import express, {
  type Express,
  type NextFunction,
  type Request,
  type RequestHandler,
  type Response,
} from "express";
import type { ServerBuild } from "react-router";
import { createAccessReader } from "../access/access.ts";
import type { Peer, ReadPeer } from "../access/peer.ts";
import { Throttle } from "../access/throttle.ts";
import type { Services } from "../services/services.ts";
import { BODY_LIMITS, BodyTooLarge } from "./bodies.ts";
import { addCarryRoutes } from "./carryRoutes.ts";
import { addClipRoutes } from "./clipRoutes.ts";
import { addDesignRoutes } from "./designRoutes.ts";
import { Doors, FOREIGN, tellFailure } from "./doors.ts";
import { addEnterRoutes } from "./enterRoutes.ts";
import { addFeedRoutes } from "./feedRoutes.ts";
import { addHealthRoutes } from "./healthRoutes.ts";
import { addHookRoutes } from "./hookRoutes.ts";
import { addLanguageRoutes } from "./languageRoutes.ts";
import { addMediaRoutes } from "./mediaRoutes.ts";
import { addPairRoutes } from "./pairRoutes.ts";
import { sayPlainly } from "./plainPage.ts";
import { addRemoteRoutes } from "./remoteRoutes.ts";
import { createRequestContext } from "./requestContext.ts";
import { guardRoutes } from "./routeRights.ts";
import { addSecondRoutes } from "./secondRoutes.ts";
import { addSlideRoutes } from "./slideRoutes.ts";
import { addStateRoutes } from "./stateRoutes.ts";
import { addStillRoutes } from "./stillRoutes.ts";
import { addWordsRoutes } from "./wordsRoutes.ts";

const METHODS: ReadonlySet<string> = new Set(["GET", "HEAD", "POST"]);
/** What somebody who was not let in may ask for at once, and in a second: pages, stills, tries. Files cost little and are not counted. */
const STRANGER_BURST = 100;
const STRANGER_PER_SECOND = 4;
/** The same by a link to a table, which asks once a second and sends what was typed before, or by a phone, which asks for small pictures. */
const ENTRY_BURST = 100;
const ENTRY_PER_SECOND = 10;
const TARPIT_MS = 1_000;
const IS_FILE = /^\/(assets|fonts|media)\/|^\/(fonts|healthz|favicon\.svg|keep\.js|language\.js)$/;

/** How a page of this server may be made: nothing from outside, and scripts that this very answer names. */
function contentPolicy(
  { host, isSecure }: Peer,
  nonce: string,
  isDev: boolean,
  framedBy: "'none'" | "*",
  isScreen: boolean,
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
    // A screen goes on with the page of the second machine, wherever that is.
    isScreen ? "frame-src http: https:" : "frame-src 'none'",
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
  loadBuild: () => Promise<ServerBuild>,
  assets: { readonly folder: string } | { readonly middleware: RequestHandler },
): Express {
  const app = express();
  app.disable("x-powered-by");
  const isDev = "middleware" in assets;
  const readAccess = createAccessReader(readPeer, services.sessions);
  const throttle = new Throttle(STRANGER_BURST, STRANGER_PER_SECOND, services.now);
  app.use((request, response, next) => {
    const { peer } = readAccess(request);
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("Referrer-Policy", "same-origin");
    if (!peer.isKnownHost)
      return sayPlainly(
        response,
        421,
        "This server is not called by that name. Use the link it printed at start.",
      );
    if (!METHODS.has(request.method)) return sayPlainly(response, 405, "That is not done here.");
    // Anything but a path of this server is for a proxy, or for somebody who tries what happens.
    if (!/^\/(?!\/)/.test(request.url) || !URL.canParse(request.url, "http://here"))
      return sayPlainly(response, 400, "There is no such address here.");
    const nonce = randomBytes(16).toString("base64");
    response.locals.nonce = nonce;
    const setPolicy = (framedBy: "'none'" | "*") =>
      response.setHeader(
        "Content-Security-Policy",
        contentPolicy(peer, nonce, isDev, framedBy, request.path.startsWith("/out/")),
      );
    setPolicy("'none'");
    response.locals.allowFraming = () => setPolicy("*");
    response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
    if (peer.isSecure) response.setHeader("Strict-Transport-Security", "max-age=31536000");
    next();
  });

  const entryThrottle = new Throttle(ENTRY_BURST, ENTRY_PER_SECOND, services.now);
  /** Helpers of one house have one address: whoever has a good link has a share of their own. */
  const takes = (path: string, address: string) => {
    const token = /^\/(?:table|remote|still)\/([^/]+)/.exec(path)?.[1] ?? "";
    const kind = services.links.find(token)?.kind;
    return kind === "entry" || kind === "remote" ? entryThrottle.take(token) : throttle.take(address);
  };
  app.use((request, response, next) => {
    const { caller, peer } = readAccess(request);
    if (caller.kind !== "stranger" || IS_FILE.test(request.path) || takes(request.path, peer.address))
      return next();
    // Whoever comes again and again waits for each answer: refusing at once would be as much work as giving it.
    setTimeout(() => {
      if (response.destroyed) return;
      response.setHeader("Retry-After", "2");
      sayPlainly(
        response,
        429,
        "Too much is asked for from your network at once. Wait a moment; the show goes on.",
      );
    }, TARPIT_MS);
  });

  if ("folder" in assets) {
    app.use(
      "/assets",
      express.static(join(assets.folder, "assets"), { immutable: true, maxAge: "1y", fallthrough: false }),
    );
    app.use(express.static(assets.folder, { index: false }));
  } else app.use(assets.middleware);

  const doors = new Doors(app, services, readAccess);
  addHealthRoutes(doors, services);
  addEnterRoutes(doors, services);
  addLanguageRoutes(doors);
  addMediaRoutes(doors, services);
  addFeedRoutes(doors, services);
  addCarryRoutes(doors, services);
  addClipRoutes(doors, services);
  addHookRoutes(doors, services);
  addDesignRoutes(doors, services);
  addRemoteRoutes(doors, services);
  addStillRoutes(doors, services);
  addStateRoutes(doors, services);
  addPairRoutes(doors, services);
  addSecondRoutes(doors, services);
  addSlideRoutes(doors, services);
  addWordsRoutes(doors, services);
  doors.check();
  app.locals.doors = doors.all;

  app.use((request, response, next) => {
    const access = readAccess(request);
    const changes = request.method !== "GET" && request.method !== "HEAD";
    // A page of another origin can send a form here unseen; it can neither name this origin nor send JSON so.
    if (changes && !(access.isOwnOrigin && request.is("application/json")))
      return sayPlainly(response, 403, FOREIGN);
    if (Number(request.headers["content-length"] ?? 0) > BODY_LIMITS.action)
      return tellFailure(response, new BodyTooLarge("action"));
    next();
  });
  const handlerOf = (build: ServerBuild | (() => Promise<ServerBuild>)) =>
    createRequestHandler({
      build,
      getLoadContext: (request, response) =>
        createRequestContext({
          services,
          access: readAccess(request),
          nonce: String(response.locals.nonce),
          allowFraming: response.locals.allowFraming,
        }),
    });
  const loadGuarded = async () => guardRoutes(await loadBuild());
  // While it is developed each page may be of other source; else they are loaded once, by whoever comes first.
  const developed = isDev ? handlerOf(loadGuarded) : undefined;
  let loaded: RequestHandler | undefined;
  app.use(async (request, response, next) => {
    loaded ??= developed ?? handlerOf(await loadGuarded());
    await loaded(request, response, next);
  });
  app.use((error: unknown, request: Request, response: Response, _next: NextFunction) => {
    const status = (error as { status?: unknown } | null)?.status;
    if (typeof status !== "number" || status >= 500 || response.headersSent)
      return tellFailure(response, error);
    // What the framework itself refuses: a file that is not there, an address that cannot be read.
    sayPlainly(
      response,
      status,
      status === 404 ? "Nothing is here." : `That cannot be answered (${request.method}).`,
    );
  });
  return app;
}
