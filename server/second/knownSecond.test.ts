import { mkdtempSync, rmSync } from "node:fs";
import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, expect, test } from "vitest";
import { keepSecond, keepThatSecondLeads, whoLeads } from "./knownSecond.ts";
import { answerTo } from "./secret.ts";

const TOKEN = "the-secret-of-both";
/** As long as a machine may take that is hardly coming to anything. */
const SLOW_MS = 2_000;

let folder = "";
let file = "";
let server: Server;
let afterMs = 0;
let secret = TOKEN;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), "vesko-known-"));
  file = join(folder, "show.db");
  afterMs = 0;
  secret = TOKEN;
  server = createServer(({ url }, response) => {
    const question = new URL(url ?? "", "http://here").searchParams.get("question") ?? "";
    setTimeout(
      () => response.end(JSON.stringify({ leads: true, answer: answerTo(question, secret) })),
      afterMs,
    );
  });
  await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
});
afterEach(() => {
  server.closeAllConnections();
  server.close();
  rmSync(folder, { recursive: true });
});
const address = () => `http://127.0.0.1:${(server.address() as AddressInfo).port}`;

test("a second machine that leads is heard out, however slow it is: two that lead are worse than a start that waits", async () => {
  afterMs = SLOW_MS;
  keepSecond(file, { address: address(), token: TOKEN });
  expect(await whoLeads(file)).toEqual({ address: address(), answers: true });
});

test("whoever has not the secret of both leads nothing, and one that led when it was heard last is told of", async () => {
  expect(await whoLeads(file)).toBeUndefined();
  keepSecond(file, { address: address(), token: TOKEN });
  secret = "a guess";
  expect(await whoLeads(file)).toBeUndefined();
  keepThatSecondLeads(file);
  expect(await whoLeads(file)).toEqual({ address: address(), answers: false });
});
