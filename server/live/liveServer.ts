import { randomUUID } from "node:crypto";
import type { IncomingMessage } from "node:http";
import type { Duplex } from "node:stream";
import { type WebSocket, WebSocketServer } from "ws";
import { findNeighbour, findNext } from "../../core/rundown/next.ts";
import type { PinnedDocument } from "../../core/screens/dress.ts";
import { REFUSAL_SENTENCES } from "../../core/show/commands.ts";
import { contentsOf, type Target } from "../../core/show/state.ts";
import {
  type Channel,
  type ClientMessage,
  clientMessageSchema,
  type DeskMode,
  type DeskPresence,
  LARGEST_CLIENT_MESSAGE,
  type ScreenHealth,
  type ServerMessage,
} from "../../core/show/wire.ts";
import type { ContentStore } from "../store/contentStore.ts";
import type { EveningStore } from "../store/eveningStore.ts";
import type { KeyStore } from "../store/keyStore.ts";
import type { Link, LinkStore } from "../store/linkStore.ts";
import type { ScreenStore } from "../store/screenStore.ts";
import { RehearsalLog } from "./rehearsalLog.ts";
import type { Rundown, RundownChange } from "./rundown.ts";
import { type ShowHost, wornBy } from "./showHost.ts";

export const LIVE_PATH = "/live";
/** Commands and other words of one window in a second; a stuck key stays below, a broken program does not. */
const MOST_PER_SECOND = 60;
/** A window that has said nothing for this long is gone. */
const SILENCE_MS = 10_000;
const MOST_CONNECTIONS = 1_000;
const SCREENS_EVERY_MS = 500;
/** How often the clock is looked at for what is due: cues that follow come within this of their time. */
const CLOCK_EVERY_MS = 20;

/** Documents an output holds before it lets go of those that are no longer wanted. */
const MOST_DOCUMENTS = 200;

interface Connection {
  readonly socket: WebSocket;
  link: Link | null;
  channel: Channel;
  windowId: string;
  /** What a desk said of itself. */
  desk: { readonly number: number; readonly name: string; readonly mode: DeskMode };
  /** Documents this window has been sent. */
  readonly sent: Set<string>;
  heardAtMs: number;
  painted: ScreenHealth["windows"][number]["painted"];
  secondBegan: number;
  inSecond: number;
}

export interface LiveParts {
  readonly host: ShowHost;
  readonly rundown: Rundown;
  readonly evenings: EveningStore;
  readonly keys: KeyStore;
  readonly contents: ContentStore;
  readonly links: LinkStore;
  readonly screens: ScreenStore;
  readonly buildId: string;
  readonly now: () => number;
  /** Whether a request comes from this very server's pages. */
  readonly isOwnOrigin: (request: IncomingMessage) => boolean;
  /** How long a rehearsal waits for a desk whose window was lost, before it ends. */
  readonly rehearsalWaitsMs?: number;
}

/** A page that is loaded again, or a network that is gone for a moment, ends no rehearsal. */
const REHEARSAL_WAITS_MS = 10_000;

/** The live channel: every window holds one WebSocket, on the same port as the pages. */
export class LiveServer {
  readonly #parts: LiveParts;
  readonly #sockets = new WebSocketServer({ noServer: true, maxPayload: LARGEST_CLIENT_MESSAGE });
  readonly #connections = new Set<Connection>();
  readonly #ticker: ReturnType<typeof setInterval>;
  readonly #clock: ReturnType<typeof setInterval>;
  readonly #run = randomUUID().slice(0, 8);
  #rehearsal: ShowHost | undefined;
  /** Outputs that show the rehearsal in place of the air. */
  #rehearsedOn: readonly string[] = [];
  #rehearsalLog = new RehearsalLog();
  #rehearsalWaits: ReturnType<typeof setTimeout> | undefined;
  #screensSaid = "";
  /** Output → when one of its windows was last heard. */
  readonly #lastHeard = new Map<string, number>();

  constructor(parts: LiveParts) {
    this.#parts = parts;
    this.#tell(parts.host, "air");
    parts.screens.onChange(() => {
      const { outputs, plans } = parts.screens;
      for (const connection of this.#joined()) send(connection, { kind: "setUp", outputs, plans });
    });
    parts.links.onRevoked((token) => {
      for (const { link, socket } of this.#connections) if (link?.token === token) socket.close(4401);
    });
    parts.rundown.onChange((change) => this.#tellRundown(change));
    parts.keys.onChange((keys) => {
      for (const connection of this.#desks()) send(connection, { kind: "keys", keys });
    });
    parts.evenings.onChange(() => this.#tellRundown({ ...this.#rundownNow(), changed: [] }));
    this.#ticker = setInterval(() => this.#tick(), SCREENS_EVERY_MS);
    this.#clock = setInterval(() => {
      for (const host of this.hosts()) host.tick().catch((error) => console.error(error));
    }, CLOCK_EVERY_MS);
  }

  /** Tells the windows of a channel what happens in it. */
  #tell(host: ShowHost, channel: Channel): void {
    host.onEvent((logged, state) => {
      const heard = this.#joined().filter((connection) => connection.channel === channel);
      for (const connection of heard) {
        this.#sendDocuments(connection, contentsOf(state));
        send(connection, { kind: "event", logged });
      }
      this.#sendPrime(heard);
    });
  }

  #hostOf({ channel }: Connection): ShowHost {
    return channel === "rehearsal" && this.#rehearsal ? this.#rehearsal : this.#parts.host;
  }

  /**
   * A desk changes over. The rehearsal begins with the air as it is when the first desk comes, and ends when the last goes back
   * to the air; for one that was lost it waits a while.
   */
  #setChannel(connection: Connection, channel: Channel): void {
    if (channel === "rehearsal" && !this.#rehearsal) {
      this.#rehearsal = this.#parts.host.rehearse();
      const log = new RehearsalLog();
      this.#rehearsalLog = log;
      this.#rehearsal.onEvent((logged) => log.add(logged, this.#parts.contents));
      this.#tell(this.#rehearsal, "rehearsal");
    }
    connection.channel = channel;
    this.#endRehearsal();
    this.#welcome(connection, true);
    this.#tellDesks();
  }

  #endRehearsal(): void {
    clearTimeout(this.#rehearsalWaits);
    if (this.#isRehearsing()) return;
    this.#rehearsal = undefined;
    this.#rehearseOn([]);
  }

  #isRehearsing(): boolean {
    return this.#desks().some(({ channel }) => channel === "rehearsal");
  }

  /** The air, and the rehearsal that goes on. */
  hosts(): readonly ShowHost[] {
    return this.#rehearsal ? [this.#parts.host, this.#rehearsal] : [this.#parts.host];
  }

  /** Gives these outputs the rehearsal to show, and the others the air again. */
  #rehearseOn(outputIds: readonly string[]): void {
    this.#rehearsedOn = this.#parts.screens.outputs
      .map(({ id }) => id)
      .filter((id) => outputIds.includes(id));
    for (const connection of this.#joined()) {
      const channel = this.#channelOf(connection.link);
      if (connection.link?.kind !== "output" || connection.channel === channel) continue;
      connection.channel = channel;
      this.#welcome(connection);
    }
    this.#tellDesks();
  }

  #channelOf(link: Link | null): Channel {
    return link?.kind === "output" && this.#rehearsedOn.includes(link.outputId) ? "rehearsal" : "air";
  }

  /** What was done in the rehearsal that goes on, or else in the last one. */
  get rehearsal(): RehearsalLog {
    return this.#rehearsalLog;
  }

  #desks(): Connection[] {
    return this.#joined().filter(({ link }) => link?.kind === "desk");
  }

  #tellDesks(to?: readonly Connection[]): void {
    const desks = this.#desks();
    const present = desks.map(
      ({ windowId, desk, channel }): DeskPresence => ({
        windowId,
        name: nameOf({ desk }),
        mode: desk.mode,
        channel,
      }),
    );
    for (const connection of to ?? desks)
      send(connection, { kind: "desks", desks: present, rehearsedOn: this.#rehearsedOn });
  }

  #freeDeskNumber(): number {
    const taken = new Set(this.#desks().map(({ desk }) => desk.number));
    let number = 1;
    while (taken.has(number)) number++;
    return number;
  }

  handleUpgrade(request: IncomingMessage, socket: Duplex, head: Buffer): void {
    if (!this.#parts.isOwnOrigin(request) || this.#connections.size >= MOST_CONNECTIONS) {
      socket.end("HTTP/1.1 403 Forbidden\r\nConnection: close\r\n\r\n");
      return;
    }
    this.#sockets.handleUpgrade(request, socket, head, (opened) => this.#open(opened));
  }

  close(): void {
    clearInterval(this.#ticker);
    clearInterval(this.#clock);
    clearTimeout(this.#rehearsalWaits);
    for (const { socket } of this.#connections) socket.close(1001);
    this.#sockets.close();
  }

  screens(): ScreenHealth[] {
    return this.#parts.screens.outputs.map(({ id }) => ({
      outputId: id,
      lastHeardAtMs: this.#lastHeard.get(id) ?? null,
      windows: this.#joined()
        .filter(({ link }) => link?.kind === "output" && link.outputId === id)
        .map(({ windowId, painted, heardAtMs }) => ({ windowId, painted, heardAtMs })),
    }));
  }

  #open(socket: WebSocket): void {
    const connection: Connection = {
      socket,
      link: null,
      channel: "air",
      windowId: "",
      desk: { number: 0, name: "", mode: "free" },
      sent: new Set(),
      heardAtMs: this.#parts.now(),
      painted: null,
      secondBegan: 0,
      inSecond: 0,
    };
    this.#connections.add(connection);
    socket.on("message", (data, isBinary) => {
      void this.#hear(connection, isBinary ? undefined : data.toString()).catch((error) => {
        console.error(error);
        send(connection, {
          kind: "fault",
          sentence: "The server failed on that. The air is as it was; press again.",
        });
      });
    });
    socket.on("close", () => {
      this.#connections.delete(connection);
      if (connection.link?.kind !== "desk") return;
      if (connection.channel === "rehearsal" && !this.#isRehearsing()) {
        clearTimeout(this.#rehearsalWaits);
        this.#rehearsalWaits = setTimeout(
          () => this.#endRehearsal(),
          this.#parts.rehearsalWaitsMs ?? REHEARSAL_WAITS_MS,
        );
      }
      this.#tellDesks();
    });
    // A broken or too large message: the library says why to the other side and closes by itself.
    socket.on("error", () => {});
  }

  async #hear(connection: Connection, text: string | undefined): Promise<void> {
    const { now, links } = this.#parts;
    connection.heardAtMs = now();
    const message = readMessage(text);
    if (!message) {
      send(connection, {
        kind: "fault",
        sentence:
          "The server did not understand a message from this window, and did nothing. The air is as it was.",
      });
      return;
    }
    if (message.kind === "ping") {
      send(connection, { kind: "pong", sentAtMs: message.sentAtMs, serverAtMs: now() });
      return;
    }
    const tooFast = this.#countsTooMany(connection);
    if (message.kind === "hello") {
      const link = links.find(message.token);
      if (!link || tooFast) {
        send(connection, {
          kind: "fault",
          sentence: "This link is not valid any more. Ask the desk for a new one.",
        });
        connection.socket.close(4401);
        return;
      }
      if (link.kind === "desk" && connection.link === null)
        connection.desk = { ...connection.desk, number: this.#freeDeskNumber() };
      connection.link = link;
      connection.channel = this.#channelOf(link);
      connection.windowId = message.windowId;
      this.#welcome(connection, message.rundownStamp === this.rundownStamp);
      if (link.kind === "desk") this.#tellDesks();
      return;
    }
    if (!connection.link) {
      connection.socket.close(4401);
      return;
    }
    if (message.kind === "painted") {
      const { kind: _, ...painted } = message;
      connection.painted = painted;
      if (connection.link.kind === "output") this.#lastHeard.set(connection.link.outputId, now());
      return;
    }
    if (connection.link.kind !== "desk") {
      send(connection, { kind: "fault", sentence: "This window can only show. The air is as it was." });
      return;
    }
    switch (message.kind) {
      case "channel":
        this.#setChannel(connection, message.channel);
        return;
      case "rehearseOn":
        if (connection.channel === "rehearsal") this.#rehearseOn(message.outputIds);
        return;
      case "desk":
        connection.desk = { ...connection.desk, name: message.name, mode: message.mode };
        this.#tellDesks();
        return;
    }
    const { command } = message;
    if (tooFast) {
      send(connection, {
        kind: "answer",
        id: command.id,
        refused: "tooFast",
        sentence: REFUSAL_SENTENCES.tooFast,
      });
      return;
    }
    const answer = await this.#hostOf(connection).submit(command, {
      kind: "desk",
      id: connection.windowId,
      name: nameOf(connection),
    });
    send(connection, { kind: "answer", id: command.id, ...answer });
  }

  #countsTooMany(connection: Connection): boolean {
    const second = Math.floor(this.#parts.now() / 1000);
    if (connection.secondBegan !== second) {
      connection.secondBegan = second;
      connection.inSecond = 0;
    }
    connection.inSecond++;
    return connection.inSecond > MOST_PER_SECOND;
  }

  /** @param knowsRundown it has all cues as they are now, and their documents: its page came with them */
  #welcome(connection: Connection, knowsRundown = false): void {
    const { screens, buildId, now } = this.#parts;
    const { state } = this.#hostOf(connection);
    connection.sent.clear();
    this.#sendDocuments(connection, contentsOf(state));
    send(connection, {
      kind: "welcome",
      serverAtMs: now(),
      buildId,
      state,
      channel: connection.channel,
      outputs: screens.outputs,
      plans: screens.plans,
      outputId: connection.link?.kind === "output" ? connection.link.outputId : null,
    });
    if (connection.link && connection.link.kind !== "output") {
      const now = this.#rundownNow();
      if (knowsRundown)
        for (const { compiled } of now.changed)
          if ("hash" in compiled)
            for (const hash of [compiled.hash, ...wornBy(this.#parts.contents, compiled.hash)])
              connection.sent.add(hash);
      this.#tellRundown(knowsRundown ? { ...now, changed: [] } : now, [connection]);
      send(connection, { kind: "screens", screens: this.screens() });
    }
    if (connection.link?.kind === "desk") send(connection, { kind: "keys", keys: this.#parts.keys.keys });
    this.#sendPrime([connection]);
  }

  /** Names the rundown as it is now: another for every change, and in every run of the server. */
  get rundownStamp(): string {
    return `${this.#run}/${this.#parts.rundown.revision}`;
  }

  #rundownNow(): RundownChange {
    const { rundown } = this.#parts;
    const changed = rundown.views();
    return { revision: rundown.revision, order: changed.map(({ cueId }) => cueId), changed };
  }

  #tellRundown(change: RundownChange, to = this.#joined()): void {
    const evening = this.#parts.evenings.open;
    const hashes = change.changed.flatMap(({ compiled }) => ("hash" in compiled ? [compiled.hash] : []));
    for (const connection of to) {
      if (!connection.link || connection.link.kind === "output") continue;
      this.#sendDocuments(connection, hashes);
      const { order, changed } = change;
      send(connection, { kind: "rundown", stamp: this.rundownStamp, order, changed, evening });
    }
    this.#sendPrime();
  }

  /** What the take key would bring, and the step after it, for painting ahead. */
  #sendPrime(to = this.#joined()): void {
    const cues = this.#parts.rundown.ready();
    const soon = (host: ShowHost): Target[] => {
      const next = findNext(host.state, cues);
      const after = next && findNeighbour(next, 1, cues);
      return [next, after].filter((target): target is Target => target !== undefined);
    };
    const onAir = soon(this.#parts.host);
    const rehearsed = this.#rehearsal && soon(this.#rehearsal);
    for (const connection of to) {
      const targets = connection.channel === "rehearsal" && rehearsed ? rehearsed : onAir;
      const hashes = targets.map(({ content }) => content);
      this.#sendDocuments(connection, hashes);
      if (connection.link?.kind === "output" && connection.sent.size > MOST_DOCUMENTS)
        this.#letGo(connection, hashes);
      send(connection, { kind: "prime", targets });
    }
  }

  /** Has an output forget the documents of what was shown long ago. @param soon contents that may be taken soon */
  #letGo(connection: Connection, soon: readonly string[]): void {
    const { contents } = this.#parts;
    const wanted = [...contentsOf(this.#hostOf(connection).state), ...soon];
    const kept = new Set(wanted.flatMap((hash) => [hash, ...wornBy(contents, hash)]));
    for (const hash of connection.sent) if (!kept.has(hash)) connection.sent.delete(hash);
    send(connection, { kind: "keep", hashes: [...kept] });
  }

  /** Sends the documents behind these hashes, and what they wear, unless this window has them. */
  #sendDocuments(connection: Connection, hashes: Iterable<string>): void {
    const { contents } = this.#parts;
    const documents: Record<string, PinnedDocument> = {};
    for (const hash of hashes) {
      for (const wanted of [hash, ...wornBy(contents, hash)]) {
        if (connection.sent.has(wanted)) continue;
        const document = contents.find(wanted);
        if (!document) continue;
        documents[wanted] = document;
        connection.sent.add(wanted);
      }
    }
    if (Object.keys(documents).length > 0) send(connection, { kind: "documents", documents });
  }

  #joined(): Connection[] {
    return [...this.#connections].filter(({ link }) => link !== null);
  }

  #tick(): void {
    const nowMs = this.#parts.now();
    for (const connection of this.#connections)
      if (nowMs - connection.heardAtMs > SILENCE_MS) connection.socket.terminate();
    const screens = this.screens();
    const said = JSON.stringify(screens);
    if (said === this.#screensSaid) return;
    this.#screensSaid = said;
    for (const connection of this.#joined())
      if (connection.link?.kind !== "output") send(connection, { kind: "screens", screens });
  }
}

const nameOf = ({ desk }: Pick<Connection, "desk">): string => desk.name || `Desk ${desk.number}`;

function readMessage(text: string | undefined): ClientMessage | undefined {
  if (text === undefined) return undefined;
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return undefined;
  }
  const parsed = clientMessageSchema.safeParse(value);
  return parsed.success ? parsed.data : undefined;
}

function send(connection: Connection, message: ServerMessage): void {
  if (connection.socket.readyState === connection.socket.OPEN)
    connection.socket.send(JSON.stringify(message));
}
