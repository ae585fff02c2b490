import { createHash } from "node:crypto";
import { cpSync, existsSync, mkdirSync, readFileSync } from "node:fs";
import { createServer, type RequestListener, type Server } from "node:http";
import { createServer as createSecureServer } from "node:https";
import { isIP } from "node:net";
import { networkInterfaces } from "node:os";
import { dirname, join, resolve } from "node:path";
import { fileURLToPath, pathToFileURL } from "node:url";
import type { RequestHandler } from "express";
import type { ServerBuild } from "react-router";
import { limitConnections } from "./access/connections.ts";
import { createPeerReader } from "./access/peer.ts";
import { Carry } from "./carry/carry.ts";
import { runInThread } from "./carry/carryThread.ts";
import { isConverterCommand } from "./files/slideConverter.ts";
import { type Flags, home } from "./flags.ts";
import type { DeviceOptions } from "./follow/followDevices.ts";
import { ShowClock } from "./health/showClock.ts";
import { createHttpApp } from "./http/httpApp.ts";
import { LIVE_PATH } from "./live/liveServer.ts";
import { LOG_LEVELS, log, setUpLog } from "./log/log.ts";
import { openLogFile } from "./log/logFile.ts";
import { programVersion } from "./programVersion.ts";
import { KeptContents } from "./rundown/keptContents.ts";
import { Follower } from "./second/follower.ts";
import { followerPages } from "./second/followerPages.ts";
import {
  findHad,
  forgetHad,
  forgetSecond,
  isLeading,
  keepHad,
  keepThatSecondLeads,
  whoLeads,
} from "./second/knownSecond.ts";
import { seedOf } from "./seedOf.ts";
import { isFresh } from "./services/firstSteps.ts";
import { ReopenableShow } from "./services/reopenable.ts";
import { openServices, type Services } from "./services/services.ts";
import { StartProblem } from "./startProblem.ts";
import { partsOf, setAside } from "./store/backupFiles.ts";
import { lockShowFile, tellOwner } from "./store/fileLock.ts";
import type { LookedThrough } from "./store/lookThrough.ts";
import { openShowFile } from "./store/showFile.ts";

/** So long is waited for a show that is opened again, and looked for it so often. */
const REOPENS_WITHIN_MS = 20_000;
const LOOK_AGAIN_MS = 50;

/**
 * Opens the show and serves it, until the process is told to end.
 * @param looked what looking through its file found; undefined where that was not done yet
 * @throws StartProblem
 */
export async function serve(
  flags: Flags,
  file: string,
  looked: Promise<LookedThrough | undefined> | undefined,
): Promise<void> {
  const port = Number(flags.port);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new StartProblem(`“${flags.port}” is not a port. Give a number from 1 to 65535 with --port.`);
  const toFollow = flags.follow === undefined ? undefined : readLeader(flags.follow);
  const feedFolder = flags["feed-folder"] ?? (flags.demo ? demoFeedFolder(file) : undefined);
  if (feedFolder !== undefined && !existsSync(feedFolder))
    throw new StartProblem(
      `There is no folder “${feedFolder}”. Make it first, or name another with --feed-folder.`,
    );
  const slideCommand = flags["slide-converter"];
  if (slideCommand !== undefined && !isConverterCommand(slideCommand))
    throw new StartProblem(
      `“${slideCommand}” does not say how a PDF is made of slides. Give the program with --slide-converter, with {in} where the file goes and {out} where its folder goes.`,
    );
  const backupFolder = flags["backup-folder"];
  if (backupFolder !== undefined && !existsSync(backupFolder))
    throw new StartProblem(
      `There is no folder “${backupFolder}”. Make it first, or name another with --backup-folder.`,
    );
  const level = LOG_LEVELS.find((each) => each === flags["log-level"]);
  if (level === undefined)
    throw new StartProblem(
      `“${flags["log-level"]}” is no level of the log. Give info, warn or error with --log-level. Nothing was started.`,
    );
  const tls = readTls(flags["tls-cert"], flags["tls-key"]);
  const server = tls ? createSecureServer(tls) : createServer();
  // The address comes first: whoever has it already goes on, and no file was touched.
  const actualPort = await listen(server, flags.host, port);
  const bases = basesOf(tls !== undefined, flags.host, actualPort);
  const locked = lockShowFile(ensureFolder(file), bases[0] as string, Date.now());
  if ("owner" in locked) throw new StartProblem(tellOwner(file, locked.owner));

  const logFile = openLogFile(flags["log-file"] ?? `${file}.log`);
  setUpLog(level, logFile.write);
  log.info(`Vesko ${programVersion(home)} opens ${file}`);

  if (flags.lead) forgetSecond(file);
  const other = flags.follow !== undefined || flags.lead ? undefined : await whoLeads(file);
  if (other !== undefined)
    throw new StartProblem(
      `The second machine, at ${other.address}, ${other.answers ? "leads this show now; screens are with it" : "led this show when it was heard last, and does not answer now"}. Nothing was started. To have this machine follow it, start with --follow and the link from its desk, Health; to lead here all the same, with what is here, stop that one and start with --lead.`,
    );

  const mediaFolder = `${file}.media`;
  const routes = flags.dev ? undefined : bundlePath();
  const readPeer = createPeerReader(flags.host, flags["trusted-proxy"] ?? []);
  const vite = flags.dev ? await startVite(server) : undefined;
  let app: RequestListener = sayStarting;
  server.removeListener("request", sayStarting);
  server.on("request", (request, response) => app(request, response));
  let isStopping = false;
  let closeShow = async () => {};
  const stop = () => {
    if (isStopping) return;
    isStopping = true;
    server.close();
    server.closeAllConnections();
    closeShow().then(
      () => {
        locked.lock.release();
        void logFile.close().then(() => process.exit(0));
      },
      (error) => {
        log.error("The show was not closed in order; it is whole all the same", error);
        process.exit(1);
      },
    );
  };
  process.on("SIGINT", stop);
  process.on("SIGTERM", stop);

  let aheadMs = 0;
  let isOpen = false;
  // One that took over and died is started again by the same command: it goes on leading, unless the other does by now.
  const goesOn =
    toFollow && findHad(file, toFollow)?.leads && !(await isLeading(toFollow.origin, secretIn(toFollow)));
  const leader = goesOn ? undefined : toFollow;
  if (goesOn)
    log.warn("This machine took over before and goes on leading; start it without --follow from now on");
  if (leader) {
    forgetSecond(file);
    const had = findHad(file, leader);
    // What it followed before is here still, in case that machine is gone by now.
    const isOther = had === undefined || had.leads;
    if (isOther) forgetHad(file);
    const aside =
      isOther && partsOf(file).some((part) => existsSync(part))
        ? setAside(file, "before-following", Date.now())
        : undefined;
    if (aside !== undefined) log.info(`The show that was here is kept as ${aside}`);
    const follower = new Follower({
      ...{ leader, file, mediaFolder, program: programVersion(home) },
      had: isOther ? undefined : had.show,
      onCopied: (show) => keepHad(file, leader, show, false),
      self: { port: actualPort, isSecure: tls !== undefined },
    });
    closeShow = () => follower.close();
    console.log(followLines(leader, bases).join("\n"));
    if (process.send) process.send({ kind: "serving", port: actualPort });
    aheadMs = await new Promise((leads) => {
      app = followerPages({
        ...{ follower, token: secretIn(leader), readPeer, home, leader: leader.host },
        takeOver: async () => {
          const taken = await follower.takeOver();
          if ("problem" in taken) return taken.problem;
          app = sayStarting;
          keepHad(file, leader, follower.show, true);
          leads(taken.aheadMs);
          return undefined;
        },
      });
    });
    log.info(
      `This machine leads from now on; its time is ${Math.round(aheadMs)} ms ahead of its own clock, as the first one’s was`,
    );
  }
  let clock = new ShowClock(aheadMs);
  const carry = new Carry({
    places: { databaseFile: file, mediaFolder, home },
    program: programVersion(home),
    now: () => clock.now(),
    run: runInThread,
    reopen: (work, empties) => shown.reopen(work, empties),
  });
  const shown: ReopenableShow = new ReopenableShow({
    openFile: (isFirst) => {
      clock.close();
      clock = new ShowClock(aheadMs);
      return openShowFile(file, {
        readSeed: () => seedOf(flags),
        home,
        mediaFolder,
        now: clock.now,
        ...(isFirst && {
          asItIs: flags["as-it-is"],
          // What came from another machine was open there.
          wasLeftOpen: locked.lock.wasLeftOpen || toFollow !== undefined,
          restore: flags.restore,
          looked,
        }),
      });
    },
    openServices: (db, shows) =>
      openServices(db, {
        home,
        // Windows load themselves again when it is another: their pages are of another build, or of another show.
        buildId: `${routes ? sumOfFile(routes) : "dev"}${shows > 0 ? `.${shows}` : ""}`,
        clock,
        mediaFolder,
        carry,
        giveOver: async () => {
          const address = await shown.giveOver();
          if (address === undefined) return false;
          log.info(`The machine at ${address} leads from now on; whoever asks here is sent there`);
          keepThatSecondLeads(file);
          app = sendTo(address);
          return true;
        },
        onOtherLeads: (address) => {
          log.warn(
            `Somebody had the machine at ${address} lead while this one was not heard; this one stops leading`,
          );
          keepThatSecondLeads(file);
          app = sendTo(address);
          void shown.close();
        },
        readPeer,
        databaseFile: file,
        // Of this very build: another one may make other contents.
        ...(routes && { keptContents: new KeptContents(file, sumOfFile(fileURLToPath(import.meta.url))) }),
        backupFolder: backupFolder && resolve(backupFolder),
        addresses: bases,
        slideCommand,
        feedHosts: flags["feed-host"] ?? [],
        devices: readDevices(flags),
        ...(feedFolder !== undefined && { feedFolder }),
      }),
    onOpened: (services) => {
      if (isOpen) services.stalls.begin();
      app = routes
        ? createHttpApp(services, readPeer, () => loadRoutes(routes), { folder: join(home, "build/client") })
        : createHttpApp(
            services,
            readPeer,
            () => vite?.ssrLoadModule("virtual:react-router/server-build") as Promise<ServerBuild>,
            { middleware: vite?.middlewares as unknown as RequestHandler },
          );
    },
    onClosing: () => {
      // Whoever asks meanwhile is answered by the show as it is then: a desk that met a closed door would show that its page failed.
      const wait: RequestListener = (request, response) => {
        const waitedFrom = Date.now();
        const look = () => {
          if (response.destroyed) return;
          if (app !== wait) app(request, response);
          else if (Date.now() - waitedFrom > REOPENS_WITHIN_MS) sayStarting(request, response);
          else setTimeout(look, LOOK_AGAIN_MS);
        };
        look();
      };
      app = wait;
    },
  });
  const services = await shown.open();
  closeShow = () => shown.close();

  server.on("upgrade", (request, socket, head) => {
    if (request.url === LIVE_PATH && shown.services) shown.services.live.handleUpgrade(request, socket, head);
    else if (request.url === LIVE_PATH || !flags.dev) {
      socket.on("error", () => {});
      socket.destroy();
    }
  });
  console.log(startLines(services, file, bases, flags.host).join("\n"));
  if (process.send && !leader) process.send({ kind: "serving", port: actualPort });

  // Screens that were open have the show by now; whoever asks for a page waits for these.
  if (routes) await loadRoutes(routes);
  isOpen = true;
  services.stalls.begin();
}

/** The first machine, by the link that its desk shows. */
function readLeader(said: string): URL {
  const url = URL.canParse(said) ? new URL(said) : undefined;
  if (!url || !/^https?:$/.test(url.protocol) || !/^\/second\/[\w-]{8,}\/?$/.test(url.pathname))
    throw new StartProblem(
      `“${said}” is no link of a first machine. Take it from its desk, in Health, and give all of it with --follow. Nothing was started.`,
    );
  return new URL(url.pathname.replace(/\/$/, ""), url.origin);
}

const secretIn = (leader: URL): string => leader.pathname.split("/").at(-1) ?? "";

function followLines(leader: URL, [base = "", ...others]: readonly string[]): string[] {
  return [
    `This machine follows the one at ${leader.host}; it does not lead.`,
    "",
    `  Here          ${base}/`,
    ...others.map((other) => `  From elsewhere  ${other}${leader.pathname}`),
    "",
    "Open that page to see how it does, and to take over. Stop with Ctrl+C.",
  ];
}

/** This machine has given over: whoever comes here is sent where the show goes on. */
function sendTo(address: string): RequestListener {
  return ({ url = "/" }, response) => {
    // Only ever to that machine: an address may begin with the name of another.
    const path = /^\/(?![/\\])/.test(url) ? url : "/";
    response.writeHead(307, { Location: `${address}${path}`, "Cache-Control": "no-store" });
    response.end();
  };
}

async function startVite(server: Server) {
  const { createServer: createVite } = await import("vite");
  return createVite({ root: home, server: { middlewareMode: true, hmr: { server } } });
}

/** Ports of the demo for the mixer that ships. */
const DEMO_TALLY_PORT = 4620;
const DEMO_OSC_PORT = 4621;
const DEMO_OSC_TO = "127.0.0.1:4631";

/** Where other devices may send, and where messages are sent. */
function readDevices(flags: Flags): DeviceOptions {
  const portOf = (name: "tally-port" | "osc-port", usual: number) => {
    const said = flags[name];
    if (said === undefined) return flags.demo ? usual : undefined;
    const port = Number(said);
    if (!Number.isInteger(port) || port < 0 || port > 65_535)
      throw new StartProblem(`“${said}” is not a port. Give a number from 1 to 65535 with --${name}.`);
    return port;
  };
  const [tallyPort, oscPort] = [portOf("tally-port", DEMO_TALLY_PORT), portOf("osc-port", DEMO_OSC_PORT)];
  const allowed = flags.device ?? [];
  for (const address of allowed)
    if (isIP(address) === 0)
      throw new StartProblem(
        `“${address}” is no address of a device, such as 192.168.1.20. Say which may send with --device.`,
      );
  const oscTo = (flags["osc-to"] ?? (flags.demo ? [DEMO_OSC_TO] : [])).map((said) => {
    const at = said.lastIndexOf(":");
    const [host, port] = [said.slice(0, at), Number(said.slice(at + 1))];
    if (at < 1 || isIP(host) === 0 || !Number.isInteger(port) || port < 1 || port > 65_535)
      throw new StartProblem(`“${said}” is no address and port, such as 192.168.1.20:9000, for --osc-to.`);
    return { host, port };
  });
  return {
    host: flags.host,
    allowed,
    oscTo,
    ...(tallyPort !== undefined && { tallyPort }),
    ...(oscPort !== undefined && { oscPort }),
  };
}

/** Copies of the demo's feeds, beside its database, for something else to change. */
function demoFeedFolder(file: string): string {
  const folder = `${file}.feeds`;
  if (!existsSync(folder)) cpSync(join(home, "demo", "feeds"), folder, { recursive: true });
  return folder;
}

/** A window that was opened too early, of a desk or on a wall, comes by itself. */
const sayStarting: RequestListener = (_request, response) => {
  const again = { "Retry-After": "1", Refresh: "1" };
  response.writeHead(503, { "Content-Type": "text/plain; charset=utf-8", ...again });
  response.end("The show is being opened. This page comes in a moment.");
};

/** Takes the address. @returns the port, where any was asked for */
function listen(server: Server, host: string, port: number): Promise<number> {
  limitConnections(server);
  server.on("request", sayStarting);
  return new Promise((done, fail) => {
    server.once("error", (error: NodeJS.ErrnoException) =>
      fail(
        new StartProblem(
          error.code === "EADDRINUSE"
            ? `Port ${port} on ${host} is in use, perhaps by a Vesko that runs already. That one goes on as it was. Choose another with --port.`
            : error.code === "EACCES" || error.code === "EADDRNOTAVAIL" || error.code === "ENOTFOUND"
              ? `The address ${host}:${port} cannot be used here (${error.code}). Choose another with --host and --port.`
              : `The server cannot listen on ${host}:${port} (${error.message}). Nothing was started.`,
        ),
      ),
    );
    server.listen(port, host, () => {
      const address = server.address();
      server.removeAllListeners("error");
      server.on("error", (error) => log.error("The server's socket failed", error));
      done(typeof address === "object" && address ? address.port : port);
    });
  });
}

/** The addresses by which this server can be reached, the nearest first. */
function basesOf(isSecure: boolean, host: string, port: number): string[] {
  const isAny = host === "0.0.0.0" || host === "::";
  const names = isAny
    ? Object.values(networkInterfaces())
        .flatMap((each) => each ?? [])
        .filter(({ internal, family }) => !internal && family === "IPv4")
        .map(({ address }) => address)
    : [host];
  const all = isAny ? ["127.0.0.1", ...names] : names;
  return all.map(
    (name) => `${isSecure ? "https" : "http"}://${name.includes(":") ? `[${name}]` : name}:${port}`,
  );
}

function startLines(services: Services, file: string, bases: readonly string[], host: string): string[] {
  const { links, screens, show } = services;
  const [deskBase = ""] = bases;
  // Other devices reach it by an address of the network.
  const base = bases[1] ?? deskBase;
  const isOpen = host !== "127.0.0.1" && host !== "localhost" && host !== "::1";
  return [
    `${show.name} is open in ${file}`,
    "",
    // The first time, the desk begins with the first steps.
    `  Desk          ${deskBase}/${isFresh(services) ? "" : "run"}`,
    ...screens.outputs.map(
      ({ id, name, widthPx, heightPx }) =>
        `  ${name.padEnd(12)}  ${base}/out/${links.tokenOfOutput(id)}   ${widthPx}×${heightPx}`,
    ),
    ...(isOpen ? [`  Desk from another machine  ${base}/enter/${links.deskToken}`] : []),
    ...bases.slice(2).map((other) => `  Also at       ${other}`),
    ...services.follow
      .view()
      .doors.flatMap(({ kind, port, problem }) =>
        port === null
          ? []
          : [`  ${kind === "tally" ? "Tally (UMD)" : "OSC        "}   ${problem ?? `UDP port ${port}`}`],
      ),
    "",
    "Open each output in a window of its own. Stop with Ctrl+C; everything is kept.",
  ];
}

function ensureFolder(file: string): string {
  const folder = dirname(file);
  if (existsSync(folder)) return file;
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
  } catch (error) {
    throw new StartProblem(
      `The folder ${folder} cannot be made (${(error as Error).message}). Nothing was started; name another file with --db.`,
    );
  }
  return file;
}

/** A certificate and its key: browsers give some things (full-screen placement, MIDI, wake lock) to secure pages only. */
function readTls(certFile: string | undefined, keyFile: string | undefined) {
  if (certFile === undefined && keyFile === undefined) return undefined;
  if (certFile === undefined || keyFile === undefined)
    throw new StartProblem("--tls-cert and --tls-key belong together: give both files. Nothing was started.");
  try {
    return { cert: readFileSync(resolve(certFile)), key: readFileSync(resolve(keyFile)) };
  } catch (error) {
    throw new StartProblem(
      `The certificate or its key cannot be read (${(error as Error).message}). Nothing was started; check the two files.`,
    );
  }
}

const sumOfFile = (path: string): string =>
  createHash("sha256").update(readFileSync(path)).digest("base64url");

/** The pages, which lie beside the bundle; a variable keeps the bundler from following it. */
const bundlePath = (): string => fileURLToPath(new URL("./index.js", import.meta.url));

const loadRoutes = (path: string): Promise<ServerBuild> =>
  import(/* @vite-ignore */ pathToFileURL(path).href) as Promise<ServerBuild>;
