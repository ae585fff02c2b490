import { mkdtempSync } from "node:fs";
import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { WebSocket } from "ws";
import type { ClientMessage, ServerMessage } from "../core/wire/wire.ts";
import { lanternEvening } from "../demo/lanternEvening.ts";
import type { Seed } from "../designs/seed.ts";
import { createPeerReader } from "../server/access/peer.ts";
import { INLINE_ASIDE } from "../server/aside/aside.ts";
import { Carry } from "../server/carry/carry.ts";
import { runInThread } from "../server/carry/carryThread.ts";
import { ShowClock } from "../server/health/showClock.ts";
import { LIVE_PATH } from "../server/live/liveServer.ts";
import { openServices, type ServiceOptions, type Services } from "../server/services/services.ts";
import { type Db, openDatabase } from "../server/store/database.ts";
import { makeShow } from "../server/store/makeShow.ts";
import { closeShowFile, openShowFile } from "../server/store/showFile.ts";

export interface OpenShow {
  readonly db: Db;
  readonly services: Services;
  readonly server: Server;
  readonly port: number;
  readonly close: () => Promise<void>;
}

/** The demo show over a database file, with the live channel listening on a free port. */
export async function openShow(
  file: string,
  {
    seed = lanternEvening(),
    ...more
  }: Pick<ServiceOptions, "rehearsalWaitsMs" | "feedHosts" | "feedFolder" | "devices" | "keptContents"> & {
    readonly seed?: Seed;
  } = {},
): Promise<OpenShow> {
  const clock = new ShowClock();
  const home = process.cwd();
  const isInMemory = file === ":memory:";
  const mediaFolder = isInMemory ? mkdtempSync(join(tmpdir(), "vesko-media-")) : `${file}.media`;
  const db = isInMemory
    ? await openDatabase(file)
    : await openShowFile(file, { readSeed: async () => seed, home, mediaFolder, now: clock.now });
  if (isInMemory) await makeShow(db, seed, home, mediaFolder, Math.round(clock.now()));
  const services = await openServices(db, {
    home,
    buildId: "test",
    clock,
    mediaFolder,
    readPeer: createPeerReader("127.0.0.1"),
    aside: INLINE_ASIDE,
    carry: carryWithout(file, mediaFolder, home),
    ...more,
  });
  services.stalls.begin();
  const server = createServer();
  server.on("upgrade", (request, socket, head) => {
    if (request.url === LIVE_PATH) services.live.handleUpgrade(request, socket, head);
    else socket.destroy();
  });
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  return {
    db,
    services,
    server,
    port: (server.address() as AddressInfo).port,
    close: async () => {
      await services.close();
      clock.close();
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      if (isInMemory) await db.destroy();
      else await closeShowFile(db);
    },
  };
}

/** Show files for a server that cannot open its show again. */
export const carryWithout = (databaseFile: string, mediaFolder: string, home: string): Carry =>
  new Carry({
    places: { databaseFile, mediaFolder, home },
    program: "0.0.0",
    now: () => Date.now(),
    run: runInThread,
    reopen: () => Promise.reject(new Error("This server does not open its show again")),
  });

/** A window's end of the live channel that keeps what it hears. */
export class TestWindow {
  readonly heard: ServerMessage[] = [];
  readonly socket: WebSocket;
  closedWith: number | undefined;
  readonly #waiting = new Set<() => void>();

  constructor(port: number, headers: Record<string, string> = {}) {
    this.socket = new WebSocket(`ws://127.0.0.1:${port}${LIVE_PATH}`, { headers });
    this.socket.on("message", (data) => {
      this.heard.push(JSON.parse(String(data)) as ServerMessage);
      for (const check of this.#waiting) check();
    });
    this.socket.on("close", (code) => {
      this.closedWith = code;
      for (const check of this.#waiting) check();
    });
    this.socket.on("error", () => {
      this.closedWith ??= 0;
      for (const check of this.#waiting) check();
    });
  }

  send(message: ClientMessage): void {
    this.socket.send(JSON.stringify(message));
  }

  async join(token: string, windowId = "window-under-test", rundownStamp?: string): Promise<void> {
    await new Promise((resolve) => this.socket.once("open", resolve));
    this.send({ kind: "hello", token, windowId, ...(rundownStamp && { rundownStamp }) });
  }

  /** Waits for a message, heard already or still to come. */
  until<K extends ServerMessage["kind"]>(
    kind: K,
    fits: (message: Extract<ServerMessage, { kind: K }>) => boolean = () => true,
  ): Promise<Extract<ServerMessage, { kind: K }>> {
    return this.#when(() =>
      this.heard.find((m): m is Extract<ServerMessage, { kind: K }> => m.kind === kind && fits(m as never)),
    );
  }

  untilClosed(): Promise<number> {
    return this.#when(() => this.closedWith);
  }

  #when<T>(find: () => T | undefined): Promise<T> {
    return new Promise((resolve) => {
      const check = () => {
        const found = find();
        if (found === undefined) return;
        this.#waiting.delete(check);
        resolve(found);
      };
      this.#waiting.add(check);
      check();
    });
  }
}
