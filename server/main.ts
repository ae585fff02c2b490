import { readFileSync } from "node:fs";
import { createServer } from "node:http";
import { createServer as createSecureServer } from "node:https";
import { dirname, join, resolve } from "node:path";
import { fileURLToPath } from "node:url";
import { parseArgs } from "node:util";
import type { RequestHandler } from "express";
import type { ServerBuild } from "react-router";
import { lanternEvening } from "../demo/lanternEvening.ts";
import { createOriginCheck } from "./http/guard.ts";
import { createHttpApp } from "./http/httpApp.ts";
import { LIVE_PATH } from "./live/liveServer.ts";
import { emptyShow } from "./newShow.ts";
import { openServices } from "./services.ts";
import { keepCheckpointed, openDatabase, StartProblem } from "./store/database.ts";

const OPTIONS = {
  db: { type: "string" },
  port: { type: "string", default: "4400" },
  host: { type: "string", default: "127.0.0.1" },
  "tls-cert": { type: "string" },
  "tls-key": { type: "string" },
  demo: { type: "boolean", default: false },
  dev: { type: "boolean", default: false },
} as const;

function readFlags() {
  try {
    return parseArgs({ options: OPTIONS }).values;
  } catch (error) {
    throw new StartProblem(
      `${(error as Error).message.split(". To ")[0]}. Nothing was started; the options are --port, --host, --db, --tls-cert and --tls-key.`,
    );
  }
}

const here = dirname(fileURLToPath(import.meta.url));
/** The bundle lies in build/server, the source in server. */
const home = here.endsWith(join("build", "server")) ? resolve(here, "../..") : resolve(here, "..");

async function main(): Promise<void> {
  const flags = readFlags();
  const port = Number(flags.port);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new StartProblem(`“${flags.port}” is not a port. Give a number from 1 to 65535 with --port.`);
  const file = resolve(flags.db ?? join(home, "data", flags.demo ? "demo.vesko.db" : "show.vesko.db"));
  const db = await openDatabase(file);
  const now = () => performance.timeOrigin + performance.now();
  const build = flags.dev ? undefined : ((await import(/* @vite-ignore */ bundlePath())) as ServerBuild);
  const services = await openServices(db, {
    seed: flags.demo ? lanternEvening() : emptyShow(),
    home,
    buildId: build?.assets.version ?? "dev",
    now,
    mediaFolder: `${file}.media`,
    isOwnOrigin: createOriginCheck(flags.host).isOwnOrigin,
  });

  const stopCheckpoints = keepCheckpointed(db, () => services.host.isQuiet);
  const tls = readTls(flags["tls-cert"], flags["tls-key"]);
  const server = tls ? createSecureServer(tls) : createServer();
  if (build)
    server.on("request", createHttpApp(services, flags.host, build, { folder: join(home, "build/client") }));
  else {
    const { createServer: createVite } = await import("vite");
    const vite = await createVite({ root: home, server: { middlewareMode: true, hmr: { server } } });
    const load = () => vite.ssrLoadModule("virtual:react-router/server-build") as Promise<ServerBuild>;
    const middleware = vite.middlewares as unknown as RequestHandler;
    server.on("request", createHttpApp(services, flags.host, load, { middleware }));
  }
  server.on("upgrade", (request, socket, head) => {
    if (request.url === LIVE_PATH) services.live.handleUpgrade(request, socket, head);
    else if (!flags.dev) socket.destroy();
  });
  server.on("error", (error: NodeJS.ErrnoException) => {
    console.error(
      error.code === "EADDRINUSE"
        ? `Port ${port} on ${flags.host} is in use, perhaps by a Vesko that runs already. That one goes on as it was. Choose another with --port.`
        : error.code === "EACCES" || error.code === "EADDRNOTAVAIL"
          ? `The address ${flags.host}:${port} cannot be used here (${error.code}). Choose another with --host and --port.`
          : error.stack,
    );
    process.exit(1);
  });
  server.listen(port, flags.host, () => {
    const address = server.address();
    const actual = typeof address === "object" && address ? address.port : port;
    const shown = flags.host === "0.0.0.0" || flags.host === "::" ? "127.0.0.1" : flags.host;
    const base = `${tls ? "https" : "http"}://${shown.includes(":") ? `[${shown}]` : shown}:${actual}`;
    const lines = [
      `${services.show.name} is open in ${file}`,
      "",
      `  Desk          ${base}/run`,
      ...services.screens.outputs.map(
        ({ id, name, widthPx, heightPx }) =>
          `  ${name.padEnd(12)}  ${base}/out/${services.links.tokenOfOutput(id)}   ${widthPx}×${heightPx}`,
      ),
    ];
    if (shown !== "127.0.0.1" || flags.host !== shown)
      lines.push(`  Desk from another machine  ${base}/enter/${services.links.deskToken}`);
    lines.push("", "Open each output in a window of its own. Stop with Ctrl+C; everything is kept.");
    console.log(lines.join("\n"));
    if (process.send) process.send({ kind: "listening", port: actual });
  });

  const stop = () => {
    stopCheckpoints();
    services.live.close();
    services.stills.close();
    server.close();
    server.closeAllConnections();
    void db.destroy().then(() => process.exit(0));
  };
  process.on("SIGINT", stop);
  process.on("SIGTERM", stop);
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

main().catch((error: unknown) => {
  console.error(error instanceof StartProblem ? error.message : error);
  process.exit(1);
});
