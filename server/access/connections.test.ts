import { spawn } from "node:child_process";
import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { afterEach, expect, test } from "vitest";
import { limitConnections } from "./connections.ts";

let server: Server | undefined;
afterEach(() => server?.close());

/** Somebody else on this machine, who connects, sends its words after a moment, and tells what it heard. */
const CALLER = `
const [port, sent, afterMs] = process.argv.slice(1);
const socket = require("node:net").connect(Number(port), "127.0.0.1", () => setTimeout(() => socket.write(sent), Number(afterMs)));
socket.pipe(process.stdout);
`;

/**
 * @param standsStillMs for so long the server stands still once somebody has connected
 * @param upgraded what it says, later, to somebody who asks for another protocol
 * @returns all that it says until the connection ends
 */
async function answerTo(sent: string, standsStillMs = 0, upgraded?: string): Promise<string> {
  server = createServer({ connectionsCheckingInterval: 20 }, (_request, response) => {
    response.setHeader("Connection", "close");
    response.end("yes");
  });
  limitConnections(server, { headMs: 60, requestMs: 60_000 });
  if (upgraded !== undefined)
    server.on("upgrade", (_request, socket) => setTimeout(() => socket.end(upgraded), 600));
  server.on("connection", () => {
    const until = performance.now() + standsStillMs;
    while (performance.now() < until);
  });
  await new Promise<void>((done) => server?.listen(0, "127.0.0.1", done));
  const { port } = server.address() as AddressInfo;
  return new Promise((done, fail) => {
    const caller = spawn(process.execPath, ["-e", CALLER, `${port}`, sent, `${standsStillMs / 4}`]);
    let heard = "";
    caller.stdout.on("data", (data) => {
      heard += data;
    });
    caller.on("error", fail);
    caller.on("close", () => done(heard));
  });
}

test("a connection that was opened ahead of need and not used is given up without a word", async () => {
  expect(await answerTo("")).toBe("");
});

test("a head that comes letter by letter is not waited for", async () => {
  expect(await answerTo("GET / HTTP/1.1\r\nHo")).toBe("");
});

test("what is no request is answered so", async () => {
  expect(await answerTo("Good evening\r\n\r\n")).toMatch(/^HTTP\/1\.1 400 /);
});

test("what somebody asked while the server stood still is answered when it goes on", async () => {
  expect(await answerTo("GET / HTTP/1.1\r\nHost: here\r\n\r\n", 800)).toMatch(/^HTTP\/1\.1 200 .*yes/s);
});

test("another protocol is asked for while the server stood still: what is made of the connection stays", async () => {
  const asked = "GET / HTTP/1.1\r\nHost: here\r\nConnection: Upgrade\r\nUpgrade: websocket\r\n\r\n";
  expect(await answerTo(asked, 800, "hello")).toBe("hello");
  expect(await answerTo(asked)).toMatch(/^HTTP\/1\.1 503 /);
});
