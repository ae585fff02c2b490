import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { createServer, request as httpRequest, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import express from "express";
import { afterAll, beforeAll, describe, expect, test, vi } from "vitest";
import { eventually } from "../../test-support/eventually.ts";
import { createAccessReader } from "../access/access.ts";
import { createPeerReader } from "../access/peer.ts";
import { Incoming } from "../files/incoming.ts";
import type { Services } from "../services/services.ts";
import { BODY_LIMITS, bodyParts, readBody } from "./bodies.ts";
import { Doors } from "./doors.ts";

const folder = mkdtempSync(join(tmpdir(), "vesko-doors-"));
const incoming = new Incoming(folder);
const LINK = "l".repeat(32);
const services = {
  sessions: {
    findByCookie: (cookie: string) =>
      cookie === "good" ? { session: { id: "session-1" }, liveToken: "live" } : undefined,
  },
  links: { find: (token: string) => (token === LINK ? { kind: "output", token } : undefined) },
} as unknown as Services;

let server: Server;
let port = 0;
let peak = 0;
beforeAll(async () => {
  const app = express();
  const doors = new Doors(
    app,
    services,
    createAccessReader(createPeerReader("127.0.0.1"), services.sessions),
  );
  doors.get("anyone", "/open", (_request, response) => response.send("open"));
  doors.get("desk", "/desk", (_request, response) => response.send("desk"));
  doors.get("output", "/of/:token", (_request, response) => response.send("output"));
  doors.get("watch", "/watch/:token", (_request, response) => response.send("watch"));
  doors.get("desk", "/full", () => {
    throw Object.assign(new Error("no space left on device"), { code: "ENOSPC" });
  });
  doors.get("desk", "/broken", () => {
    throw new Error("a secret of ours");
  });
  doors.post("desk", "/json", "application/json", async (request, response) => {
    response.json({ bytes: (await readBody(request, "passcode")).length });
  });
  doors.post("desk", "/file", "application/octet-stream", async (request, response) => {
    const file = await incoming.receive(bodyParts(request, "action"), 10);
    peak = Math.max(peak, file.bytes);
    response.json({ bytes: file.bytes, head: Buffer.from(file.head).toString() });
    await incoming.discard(file);
  });
  doors.check();
  server = createServer(app);
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  port = (server.address() as AddressInfo).port;
});
afterAll(() => {
  server.closeAllConnections();
  server.close();
  rmSync(folder, { recursive: true });
});

interface Asked {
  readonly method?: string;
  readonly headers?: Record<string, string>;
  readonly chunks?: readonly Buffer[];
  /** Goes away after the last chunk, without an end. */
  readonly breaksOff?: boolean;
}

function ask(path: string, { method = "GET", headers = {}, chunks = [], breaksOff = false }: Asked = {}) {
  return new Promise<{ status: number; body: string }>((resolve) => {
    const asked = httpRequest({ port, host: "127.0.0.1", path, method, headers }, (answer) => {
      let body = "";
      answer.on("data", (part) => {
        body += String(part);
      });
      answer.on("end", () => resolve({ status: answer.statusCode ?? 0, body }));
      answer.on("error", () => resolve({ status: answer.statusCode ?? 0, body }));
    });
    asked.on("error", () => resolve({ status: 0, body: "" }));
    for (const chunk of chunks) asked.write(chunk);
    if (breaksOff) setTimeout(() => asked.destroy(), 50);
    else asked.end();
  });
}

const elsewhere = { "x-forwarded-for": "203.0.113.9" };
const JSON_TYPE = { "content-type": "application/json" };
const FILE_TYPE = { "content-type": "application/octet-stream" };

describe("doors", () => {
  test.each([
    ["/open", {}, 200],
    ["/open", elsewhere, 200],
    ["/desk", {}, 200],
    ["/desk", elsewhere, 403],
    ["/desk", { ...elsewhere, cookie: "vesko_desk=good" }, 200],
    ["/desk", { ...elsewhere, cookie: "vesko_desk=ended; x" }, 403],
    [`/of/${LINK}`, elsewhere, 200],
    ["/of/constructor", elsewhere, 404],
    [`/watch/${LINK}`, {}, 404],
  ])("%s with %j is answered with %i", async (path, headers, status) =>
    expect((await ask(path, { headers: headers as Record<string, string> })).status).toBe(status),
  );

  test("only pages of this server change anything, and only as JSON or as a file", async () => {
    const post = async (headers: Record<string, string>) =>
      (await ask("/json", { method: "POST", headers, chunks: [Buffer.from("{}")] })).status;
    expect(await post({ ...JSON_TYPE, origin: `http://127.0.0.1:${port}` })).toBe(200);
    expect(await post({ ...JSON_TYPE, origin: "http://elsewhere.example" })).toBe(403);
    expect(await post({ "content-type": "text/plain" })).toBe(403);
    expect(await post({ ...JSON_TYPE, ...elsewhere })).toBe(403);
  });

  test("an address that was opened past them keeps the server from starting", () => {
    const app = express();
    const doors = new Doors(
      app,
      services,
      createAccessReader(createPeerReader("127.0.0.1"), services.sessions),
    );
    doors.get("anyone", "/a", () => {});
    app.get("/b", () => {});
    expect(() => doors.check()).toThrow(/“\/b” is served with no right declared/);
  });

  test("a full disk is told in a sentence, a fault of ours without its insides", async () => {
    const logged = vi.spyOn(console, "error").mockImplementation(() => {});
    expect(await ask("/full")).toEqual({ status: 507, body: expect.stringMatching(/disk is full/) });
    const broken = await ask("/broken");
    expect(broken.status).toBe(500);
    expect(broken.body).not.toMatch(/secret|\bat /);
    logged.mockRestore();
  });
});

describe("bodies", () => {
  const big = (bytes: number, by = 64 * 1024) =>
    Array.from({ length: Math.ceil(bytes / by) }, (_, i) => Buffer.alloc(Math.min(by, bytes - i * by), 97));

  test("what is too long is refused as it comes, in pieces of no known length too, and nothing of it stays", async () => {
    const limit = BODY_LIMITS.action;
    const said = await ask("/file", {
      method: "POST",
      headers: { ...FILE_TYPE, "content-length": String(limit + 1) },
      chunks: [Buffer.alloc(10)],
      breaksOff: true,
    });
    expect(said.status).toBe(413);
    const unsaid = await ask("/file", { method: "POST", headers: FILE_TYPE, chunks: big(limit + 1) });
    expect([413, 0]).toContain(unsaid.status);
    expect(peak).toBeLessThan(limit);
    await eventually(() => expect(readdirSync(folder)).toEqual([]));
    const fits = await ask("/file", { method: "POST", headers: FILE_TYPE, chunks: big(limit) });
    expect(JSON.parse(fits.body)).toEqual({ bytes: limit - 10, head: "a".repeat(10) });
    const json = await ask("/json", { method: "POST", headers: JSON_TYPE, chunks: big(3_000, 100) });
    expect([413, 0]).toContain(json.status);
  });

  test("of one that breaks off nothing stays", async () => {
    await ask("/file", { method: "POST", headers: FILE_TYPE, chunks: big(200_000), breaksOff: true });
    await eventually(() => expect(readdirSync(folder)).toEqual([]));
  });
});
