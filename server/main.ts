import { cpSync, existsSync, mkdirSync, readFileSync } from "node:fs";
import { createServer, type RequestListener, type Server } from "node:http";
import { createServer as createSecureServer } from "node:https";
import { isIP } from "node:net";
import { networkInterfaces } from "node:os";
import { dirname, join, resolve } from "node:path";
import { fileURLToPath } from "node:url";
import { parseArgs } from "node:util";
import type { RequestHandler } from "express";
import type { ServerBuild } from "react-router";
import { lanternEvening } from "../demo/lanternEvening.ts";
import { faultyEvening } from "../demo/plantedFaults.ts";
import { limitConnections } from "./access/connections.ts";
import { createPeerReader } from "./access/peer.ts";
import type { DeviceOptions } from "./follow/followDevices.ts";
import { ShowClock } from "./health/showClock.ts";
import { createHttpApp } from "./http/httpApp.ts";
import { LIVE_PATH } from "./live/liveServer.ts";
import { log } from "./log/log.ts";
import { emptyShow } from "./newShow.ts";
import { isFresh } from "./services/firstSteps.ts";
import { openServices, type Services } from "./services/services.ts";
import { StartProblem } from "./store/database.ts";
import { lockShowFile, tellOwner } from "./store/fileLock.ts";
import { closeShowFile, openShowFile } from "./store/showFile.ts";
import { isStorageTrouble } from "./store/storageTrouble.ts";

const OPTIONS = {
  db: { type: "string" },
  port: { type: "string", default: "4400" },
  host: { type: "string", default: "127.0.0.1" },
  "tls-cert": { type: "string" },
  "tls-key": { type: "string" },
  "trusted-proxy": { type: "string", multiple: true },
  "feed-folder": { type: "string" },
  "feed-host": { type: "string", multiple: true },
  "tally-port": { type: "string" },
  "osc-port": { type: "string" },
  "osc-to": { type: "string", multiple: true },
  device: { type: "string", multiple: true },
  restore: { type: "boolean", default: false },
  "as-it-is": { type: "boolean", default: false },
  demo: { type: "boolean", default: false },
  "with-faults": { type: "boolean", default: false },
  dev: { type: "boolean", default: false },
} as const;

/** Ended by a problem that another start would meet again. */
const WONT_START = 2;

function readFlags() {
  try {
    return parseArgs({ options: OPTIONS }).values;
  } catch (error) {
    throw new StartProblem(
      `${(error as Error).message.split(". To ")[0]}. Nothing was started; the options are --port, --host, --db, --tls-cert, --tls-key, --trusted-proxy, --feed-folder, --feed-host, --tally-port, --osc-port, --osc-to, --device, --restore and --as-it-is.`,
    );
  }
}

const here = dirname(fileURLToPath(import.meta.url));
/** The bundle lies in build/server, the source in server. */
const home = here.endsWith(join("build", "server")) ? resolve(here, "../..") : resolve(here, "..");

async function main(): Promise<void> {
  // What is written here is for this user alone.
  process.umask(0o077);
  const flags = readFlags();
  const port = Number(flags.port);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new StartProblem(`“${flags.port}” is not a port. Give a number from 1 to 65535 with --port.`);
  const file = resolve(
    flags.db ??
      join(home, "data", `${flags.demo ? (flags["with-faults"] ? "faults" : "demo") : "show"}.vesko.db`),
  );
  const feedFolder = flags["feed-folder"] ?? (flags.demo ? demoFeedFolder(file) : undefined);
  if (feedFolder !== undefined && !existsSync(feedFolder))
    throw new StartProblem(
      `There is no folder “${feedFolder}”. Make it first, or name another with --feed-folder.`,
    );
  const tls = readTls(flags["tls-cert"], flags["tls-key"]);
  const server = tls ? createSecureServer(tls) : createServer();
  // The address comes first: whoever has it already goes on, and no file was touched.
  const actualPort = await listen(server, flags.host, port);
  const bases = basesOf(tls !== undefined, flags.host, actualPort);
  const clock = new ShowClock();
  const locked = lockShowFile(ensureFolder(file), bases[0] as string, Date.now());
  if ("owner" in locked) throw new StartProblem(tellOwner(file, locked.owner));

  const mediaFolder = `${file}.media`;
  const db = await openShowFile(file, {
    seed: !flags.demo ? emptyShow() : flags["with-faults"] ? faultyEvening() : lanternEvening(),
    home,
    mediaFolder,
    now: clock.now,
    asItIs: flags["as-it-is"],
    wasLeftOpen: locked.lock.wasLeftOpen,
    restore: flags.restore,
  });
  const build = flags.dev ? undefined : ((await import(/* @vite-ignore */ bundlePath())) as ServerBuild);
  const readPeer = createPeerReader(flags.host, flags["trusted-proxy"] ?? []);
  const services = await openServices(db, {
    home,
    buildId: build?.assets.version ?? "dev",
    clock,
    mediaFolder,
    readPeer,
    databaseFile: file,
    addresses: bases,
    feedHosts: flags["feed-host"] ?? [],
    devices: readDevices(flags),
    ...(feedFolder !== undefined && { feedFolder }),
  });

  const serve = (app: RequestListener) => {
    server.removeListener("request", sayStarting);
    server.on("request", app);
  };
  if (build) serve(createHttpApp(services, readPeer, build, { folder: join(home, "build/client") }));
  else {
    const { createServer: createVite } = await import("vite");
    const vite = await createVite({ root: home, server: { middlewareMode: true, hmr: { server } } });
    const load = () => vite.ssrLoadModule("virtual:react-router/server-build") as Promise<ServerBuild>;
    const middleware = vite.middlewares as unknown as RequestHandler;
    serve(createHttpApp(services, readPeer, load, { middleware }));
  }
  server.on("upgrade", (request, socket, head) => {
    if (request.url === LIVE_PATH) services.live.handleUpgrade(request, socket, head);
    else if (!flags.dev) {
      socket.on("error", () => {});
      socket.destroy();
    }
  });

  let isStopping = false;
  const stop = () => {
    if (isStopping) return;
    isStopping = true;
    server.close();
    server.closeAllConnections();
    services
      .close()
      .then(() => closeShowFile(db))
      .then(
        () => {
          locked.lock.release();
          process.exit(0);
        },
        (error) => {
          log.error("The show was not closed in order; it is whole all the same", error);
          process.exit(1);
        },
      );
  };
  process.on("SIGINT", stop);
  process.on("SIGTERM", stop);

  console.log(startLines(services, file, bases, flags.host).join("\n"));
  if (process.send) process.send({ kind: "listening", port: actualPort });
}

/** Ports of the demo for the mixer that ships. */
const DEMO_TALLY_PORT = 4620;
const DEMO_OSC_PORT = 4621;
const DEMO_OSC_TO = "127.0.0.1:4631";

/** Where other devices may send, and where messages are sent. */
function readDevices(flags: ReturnType<typeof readFlags>): DeviceOptions {
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
  // Whoever sends its head letter by letter is not waited for; files may take their time.
  server.headersTimeout = 10_000;
  server.requestTimeout = 15 * 60_000;
  server.on("request", sayStarting);
  server.on("clientError", (_error, socket) => {
    if (socket.writable) socket.end("HTTP/1.1 400 Bad Request\r\nConnection: close\r\n\r\n");
    else socket.destroy();
  });
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

/** Beside the bundle; a variable keeps the bundler from following it. */
function bundlePath(): string {
  return new URL("./index.js", import.meta.url).href;
}

// A fault of ours ends no show: it is written down, and the air goes on.
process.on("uncaughtException", (error) => log.error("A fault of ours, and the show goes on", error));
process.on("unhandledRejection", (error) => log.error("A fault of ours, and the show goes on", error));
// Whoever reads what is printed here may go away.
for (const stream of [process.stdout, process.stderr]) stream.on("error", () => {});

main().catch((error: unknown) => {
  if (error instanceof StartProblem) console.error(error.message);
  else if (isStorageTrouble(error))
    console.error(
      `The show could not be opened: the disk is full, or may not be read and written (${(error as Error).message}). Nothing was started. Make room or give this user the rights, and start again.`,
    );
  else {
    log.error("The show could not be opened", error);
    console.error(
      `The show could not be opened, for a fault of ours that stands above (${error instanceof Error ? error.message : String(error)}). Nothing was changed; start again with --restore to go on with the newest copy.`,
    );
  }
  process.exit(WONT_START);
});
