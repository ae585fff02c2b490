import { createSocket } from "node:dgram";
import { createServer, type ServerResponse } from "node:http";
import { join } from "node:path";
import { parseArgs } from "node:util";
import { buildSync } from "esbuild";
import { fromBuffer, type OscPacketOutput, toBuffer } from "osc-min";
import { looksLikeUmd5, readUmd5, writeUmd5 } from "../../core/tally/umd5.ts";
import { readUmd31, writeUmd31 } from "../../core/tally/umd31.ts";
import { mulberry } from "../../test-support/random.ts";
import { AT_START, act, INPUTS, isInput, type Mixer, type MixerAct, pass, tallyOf } from "./mixer.ts";
import { pageOf } from "./page.ts";
import { actOnPlayer, FILMS, NO_FILM, type Player, type PlayerAct, placeMs, toldByPlayer } from "./player.ts";

/**
 * A mixer that needs no hardware: four cameras, a clip player, bars and black on two buses, with a page of its own. It tells tallies by
 * UMD and what it does by OSC, takes both, and knows nothing of who listens.
 */
const { values: flags } = parseArgs({
  options: {
    port: { type: "string", default: "4630" },
    "tally-to": { type: "string", default: "127.0.0.1:4620" },
    umd: { type: "string", default: "5.0" },
    "tally-port": { type: "string", default: "4632" },
    "osc-to": { type: "string", default: "127.0.0.1:4621" },
    "osc-port": { type: "string", default: "4631" },
    "by-itself": { type: "boolean", default: false },
    seed: { type: "string", default: "1" },
  },
});
if (flags.umd !== "3.1" && flags.umd !== "5.0") {
  console.error(`“${flags.umd}” is no version of UMD that it speaks: 3.1 or 5.0. Nothing was started.`);
  process.exit(2);
}

const TALLIES = { program: 1, preview: 2 } as const;
const STEP_MS = 20;
/** Said again this often, so that whoever listens knows that it is there. */
const AGAIN_MS = 1_000;
const MOST_HEARD = 12;

const now = () => performance.now();
const random = mulberry(Number(flags.seed));
let mixer: Mixer = flags["by-itself"] ? act(AT_START, { kind: "byItself", isOn: true }, now()) : AT_START;
/** What others have sent, the newest first. */
let heard: string[] = [];
/** Inputs that another device says are on program there. */
let lamps: number[] = [];
const watching = new Set<ServerResponse>();

const outlet = createSocket("udp4");
outlet.on("error", () => {});
function send(to: string, bytes: Uint8Array): void {
  const at = to.lastIndexOf(":");
  outlet.send(bytes, Number(to.slice(at + 1)), to.slice(0, at));
}

function sendTally(): void {
  const on = tallyOf(mixer);
  const reports = INPUTS.map(({ input, name }) => ({
    input,
    isOnProgram: on.program.includes(input),
    isOnPreview: on.preview.includes(input),
    label: name,
  }));
  if (flags.umd === "5.0") send(flags["tally-to"], writeUmd5(reports));
  else for (const report of reports) send(flags["tally-to"], writeUmd31(report, TALLIES));
}

function sendOsc(address: string, ...values: readonly (string | number)[]): void {
  const args = values.map((value) =>
    typeof value === "string"
      ? { type: "string" as const, value }
      : { type: Number.isInteger(value) ? ("integer" as const) : ("float" as const), value },
  );
  const { buffer, byteOffset, byteLength } = toBuffer({ address, args });
  send(flags["osc-to"], new Uint8Array(buffer, byteOffset, byteLength));
}

/** What its page shows. */
const told = () =>
  JSON.stringify({
    ...mixer,
    byItself: mixer.byItself !== null,
    film: player.film === null ? null : (FILMS[player.film]?.name ?? null),
    filmAt: placeMs(player, now()) / 1_000,
    filmRuns: player.isRunning,
    heard,
    lamps,
    umd: flags.umd,
    tallyTo: flags["tally-to"],
    oscTo: flags["osc-to"],
  });

function become(next: Mixer): void {
  if (next === mixer) return;
  const before = mixer;
  mixer = next;
  const [was, is] = [tallyOf(before), tallyOf(next)].map((on) => JSON.stringify(on));
  if (was !== is) sendTally();
  if (before.program !== next.program) sendOsc("/mixer/program", next.program);
  if (before.preview !== next.preview) sendOsc("/mixer/preview", next.preview);
  if (before.lever !== next.lever) sendOsc("/mixer/lever", next.lever);
  tellPages();
}

function tellPages(): void {
  for (const response of watching) response.write(`data: ${told()}\n\n`);
}

let player: Player = NO_FILM;
const tellPlayer = () => {
  for (const message of toldByPlayer(player, now())) sendOsc(...message);
};
function pressPlayer(what: PlayerAct): void {
  player = actOnPlayer(player, what, now());
  tellPlayer();
  tellPages();
}

/** What its page and messages may ask of the player. */
function askedOfPlayer(kind: string, value: unknown): PlayerAct | undefined {
  if (kind === "play" && typeof value === "string") return { kind, name: value };
  return kind === "pause" || kind === "goOn" || kind === "stop" ? { kind } : undefined;
}

const press = (what: MixerAct) => become(act(mixer, what, now()));

/** What its page and messages may ask for. */
function askedFor(kind: string, value: unknown): MixerAct | undefined {
  if ((kind === "program" || kind === "preview") && isInput(value)) return { kind, input: value };
  if (kind === "cut") return { kind };
  if (kind === "mix") return { kind, durationMs: typeof value === "number" && value > 0 ? value : 1_000 };
  if (kind === "lever" && typeof value === "number" && Number.isFinite(value)) return { kind, at: value };
  if (kind === "byItself") return { kind, isOn: value === true || value === 1 };
  return undefined;
}

function note(line: string): void {
  heard = [line.slice(0, 120), ...heard].slice(0, MOST_HEARD);
  tellPages();
}

function hearOsc(packet: OscPacketOutput): void {
  if (packet.oscType === "bundle") {
    for (const element of packet.elements) hearOsc(element);
    return;
  }
  const values = packet.args.map(({ value }) => value);
  note([packet.address, ...values].join(" "));
  const ofPlayer = /^\/player\/(play|pause|go-on|stop)$/.exec(packet.address)?.[1];
  const asking = ofPlayer && askedOfPlayer(ofPlayer === "go-on" ? "goOn" : ofPlayer, values[0]);
  if (asking) pressPlayer(asking);
  const kind = /^\/mixer\/(program|preview|cut|mix|lever|by-itself)$/.exec(packet.address)?.[1];
  const asked = kind && askedFor(kind === "by-itself" ? "byItself" : kind, values[0]);
  if (asked) press(asked);
}

const oscIn = createSocket("udp4");
oscIn.on("message", (bytes) => {
  try {
    hearOsc(fromBuffer(bytes));
  } catch {
    note("something that is no OSC");
  }
});
const tallyIn = createSocket("udp4");
tallyIn.on("message", (bytes) => {
  const read = looksLikeUmd5(bytes) ? readUmd5(bytes) : readUmd31(bytes, TALLIES);
  if ("problem" in read) return note(`a tally that ${read.problem}`);
  for (const { input, isOnProgram } of read.reports)
    lamps = isOnProgram ? [...new Set([...lamps, input])] : lamps.filter((each) => each !== input);
  tellPages();
});
for (const [socket, port] of [
  [oscIn, flags["osc-port"]],
  [tallyIn, flags["tally-port"]],
] as const) {
  socket.on("error", (error) => console.error(`Port ${port} could not be opened (${error.message}).`));
  socket.bind(Number(port), "127.0.0.1");
}

const script = buildSync({
  entryPoints: [join(import.meta.dirname, "pageScript.ts")],
  bundle: true,
  write: false,
  format: "iife",
  target: "es2022",
}).outputFiles[0]?.text;

const server = createServer((request, response) => {
  const { pathname } = new URL(request.url ?? "/", "http://here");
  if (request.method === "POST" && pathname === "/do") {
    let body = "";
    request.on("data", (data) => {
      body += String(data);
      if (body.length > 1_000) request.destroy();
    });
    request.on("end", () => {
      try {
        const { kind, value } = JSON.parse(body) as { kind: string; value?: unknown };
        const asked = askedFor(kind, value);
        const ofPlayer = askedOfPlayer(kind, value);
        if (asked) press(asked);
        if (ofPlayer) pressPlayer(ofPlayer);
        response.writeHead(asked || ofPlayer ? 200 : 400).end(told());
      } catch {
        response.writeHead(400).end("That was not understood.\n");
      }
    });
    return;
  }
  switch (pathname) {
    case "/":
      response.writeHead(200, { "Content-Type": "text/html; charset=utf-8" }).end(pageOf());
      return;
    case "/page.js":
      response.writeHead(200, { "Content-Type": "text/javascript; charset=utf-8" }).end(script);
      return;
    case "/state":
      response.writeHead(200, { "Content-Type": "application/json" }).end(told());
      return;
    case "/events":
      response.writeHead(200, { "Content-Type": "text/event-stream", "Cache-Control": "no-store" });
      response.write(`data: ${told()}\n\n`);
      watching.add(response);
      response.on("close", () => watching.delete(response));
      return;
    default:
      response.writeHead(404).end("It serves /, /state and /events, and takes POST /do.\n");
  }
});
server.listen(Number(flags.port), "127.0.0.1", () => {
  const address = server.address();
  const port = typeof address === "object" && address ? address.port : flags.port;
  console.log(
    `The mixer tells tallies by UMD ${flags.umd} to ${flags["tally-to"]} and OSC to ${flags["osc-to"]}.`,
  );
  console.log(`It takes OSC on port ${oscIn.address().port} and tallies on port ${tallyIn.address().port}.`);
  console.log(`  http://127.0.0.1:${port}/`);
});

let saidAtMs = Number.NEGATIVE_INFINITY;
const timer = setInterval(() => {
  become(pass(mixer, now(), random));
  if (now() - saidAtMs < AGAIN_MS) return;
  saidAtMs = now();
  sendTally();
  if (player.film !== null) tellPlayer();
}, STEP_MS);
for (const signal of ["SIGINT", "SIGTERM"] as const)
  process.on(signal, () => {
    clearInterval(timer);
    process.exit(0);
  });
