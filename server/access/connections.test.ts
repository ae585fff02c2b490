import { createServer, type Server } from "node:http";
import { type AddressInfo, connect } from "node:net";
import { afterEach, expect, test } from "vitest";
import { limitConnections } from "./connections.ts";

let server: Server | undefined;
afterEach(() => server?.close());

/** @returns all that a server says to somebody who sends this and no more, until it ends the connection */
async function answerTo(sent: string): Promise<string> {
  server = createServer({ connectionsCheckingInterval: 20 }, (_request, response) => response.end("yes"));
  limitConnections(server, { headMs: 60, requestMs: 60_000 });
  await new Promise<void>((done) => server?.listen(0, "127.0.0.1", done));
  const { port } = server.address() as AddressInfo;
  return new Promise((done, fail) => {
    let heard = "";
    const socket = connect(port, "127.0.0.1", () => socket.write(sent));
    socket.on("data", (data) => {
      heard += data;
    });
    socket.on("error", fail);
    socket.on("close", () => done(heard));
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
