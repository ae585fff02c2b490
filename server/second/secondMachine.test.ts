import { mkdtempSync, rmSync } from "node:fs";
import { createServer, get, type Server } from "node:http";
import type { AddressInfo, Socket } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import SQLite from "better-sqlite3";
import { afterEach, beforeEach, expect, test } from "vitest";
import { PartReader, type StreamPart } from "../../core/second/secondStream.ts";
import { eventually } from "../../test-support/eventually.ts";
import { copyPages } from "../store/backupFiles.ts";
import { SecondMachine } from "./secondMachine.ts";

const BEAT_EVERY_MS = 10;

let folder: string;
let sqlite: SQLite.Database;
let second: SecondMachine;
let server: Server;
let onWritten = () => {};
let socket: Socket | undefined;
let followed: boolean[] = [];

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), "vesko-second-"));
  const databaseFile = join(folder, "show");
  sqlite = new SQLite(databaseFile);
  sqlite.pragma("journal_mode = WAL");
  sqlite.exec(
    "create table thing (id integer primary key, words text) strict; insert into thing values (1, 'one')",
  );
  second = new SecondMachine({
    ...{ databaseFile, mediaFolder: folder, show: () => "Lantern Evening", program: "0" },
    copyPages: (to) => copyPages(databaseFile, to),
    onWritten: (listener) => {
      onWritten = listener;
      return () => {};
    },
    whoLeads: async () => undefined,
    onOtherLeads: () => {},
    now: () => 1_000,
    beatEveryMs: BEAT_EVERY_MS,
  });
  followed = [];
  server = createServer(async (request, response) => {
    const told = followed;
    socket = response.socket ?? undefined;
    const isIts = await second.follow(response, `http://${request.headers.host}${request.url}`, "token");
    told.push(isIts);
    if (!isIts) response.end();
  });
  await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
});
afterEach(async () => {
  second.close();
  server.closeAllConnections();
  server.close();
  sqlite.close();
  rmSync(folder, { recursive: true });
});

/** A machine that follows. @returns what has come so far */
function follow(path = "/"): StreamPart[] {
  const parts: StreamPart[] = [];
  const reader = new PartReader();
  get({ port: (server.address() as AddressInfo).port, path }, (response) => {
    response.on("data", (bytes: Buffer) => parts.push(...(reader.read(bytes) ?? [])));
    response.on("error", () => {});
  }).on("error", () => {});
  return parts;
}

const hasCaughtUp = (parts: readonly StreamPart[]) =>
  parts.some((part) => part.kind === "said" && part.said.kind === "caughtUp");

test("a transaction has left for the second machine before whoever wrote it goes on, however busy this one is", async () => {
  const parts = follow();
  await eventually(() => expect(hasCaughtUp(parts)).toBe(true));
  const before = socket?.bytesWritten ?? 0;
  // What comes after a promise runs before anything that was put off to the next turn.
  await Promise.resolve().then(() => {
    for (let id = 2; id < 5; id++) {
      sqlite.prepare("insert into thing values (?, 'lamp')").run(id);
      onWritten();
      expect(socket?.writableLength).toBe(0);
    }
  });
  expect((socket?.bytesWritten ?? 0) - before).toBeGreaterThan(3 * 4_096);
});

test("there is one place: another machine is turned away, and the same one may come again", async () => {
  const first = follow("/one");
  await eventually(() => expect(hasCaughtUp(first)).toBe(true));
  // The parts may arrive before whoever sent them is told that they left.
  await eventually(() => expect(followed).toEqual([true]));
  follow("/two");
  await eventually(() => expect(followed).toEqual([true, false]));
  const again = follow("/one");
  await eventually(() => expect(hasCaughtUp(again)).toBe(true));
  await eventually(() => expect(followed).toEqual([true, false, true]));
});

test("nobody to give over to is said, and nothing is ended", async () => {
  expect(await second.giveOver()).toBeUndefined();
  const parts = follow();
  await eventually(() => expect(hasCaughtUp(parts)).toBe(true));
  expect(await second.giveOver()).toMatch(/^http:/);
  await eventually(() => expect(parts.at(-1)).toEqual({ kind: "said", said: { kind: "gaveOver" } }));
});

test("one that says nothing more is lost; one that this machine did not hear because it stood still itself is not", async () => {
  const parts = follow();
  await eventually(() => expect(hasCaughtUp(parts)).toBe(true));
  const word = { isReady: true, filesLeft: 0 };
  // As long as it says something now and then, it follows.
  for (let i = 0; i < 8; i++) {
    await second.hear(word);
    await new Promise((done) => setTimeout(done, 8 * BEAT_EVERY_MS));
  }
  expect(second.view.kind).toBe("follows");
  await second.hear(word);
  const until = performance.now() + 60 * BEAT_EVERY_MS;
  while (performance.now() < until);
  // What waited to be read comes after the beat that was late.
  await new Promise((done) => setTimeout(done, 2 * BEAT_EVERY_MS));
  expect(second.view.kind).toBe("follows");
  await second.hear(word);
  await eventually(() => expect(second.view.kind).toBe("lost"));
});
