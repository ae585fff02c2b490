import { randomUUID } from "node:crypto";
import type { IncomingMessage } from "node:http";
import type { Duplex } from "node:stream";
import { type WebSocket, WebSocketServer } from "ws";
import { type Refusal, refusalSentence } from "../../core/show/commands.ts";
import { type DeskMode, refusalOfMode } from "../../core/show/deskMode.ts";
import { contentsOf } from "../../core/show/state.ts";
import {
  type Channel,
  type ClientMessage,
  type DeskPresence,
  LARGEST_CLIENT_MESSAGE,
  type ScreenHealth,
  type StorageStatus,
} from "../../core/show/wire.ts";
import { type Entry, findEntry } from "../access/entry.ts";
import { isOwnOrigin, type ReadPeer } from "../access/peer.ts";
import type { DeskSessions } from "../access/sessions.ts";
import { Throttle } from "../access/throttle.ts";
import type { Stalls } from "../health/stalls.ts";
import { log } from "../log.ts";
import type { ContentStore } from "../store/contentStore.ts";
import type { EveningStore } from "../store/eveningStore.ts";
import type { FontStore } from "../store/fontStore.ts";
import type { LinkStore } from "../store/linkStore.ts";
import type { ScreenStore } from "../store/screenStore.ts";
import type { VenueStore } from "../store/venueStore.ts";
import { spend } from "./allowance.ts";
import { findGivingWay, HELLO_WITHIN_MS, hasRoom } from "./crowd.ts";
import { letGo, sendDocuments } from "./documents.ts";
import { RehearsalLog } from "./rehearsalLog.ts";
import type { Rundown, RundownChange } from "./rundown.ts";
import { type ShowHost, wornBy } from "./showHost.ts";
import { targetsSoon } from "./targetsSoon.ts";
import { isTooSlow, type LiveWindow, openedWindow, readMessage, send } from "./window.ts";

export const LIVE_PATH = "/live";
/** A window that has said nothing for this long is gone. */
const SILENCE_MS = 10_000;
const SCREENS_EVERY_MS = 500;
/** How often the clock is looked at for what is due: cues that follow come within this of their time. */
const CLOCK_EVERY_MS = 20;

/** Windows of one address that may be opened at once, and in a second: a house that comes back after a power cut, and no flood. */
const TARPIT_MS = 1_000;
const TOO_MANY = "HTTP/1.1 429 Too Many Requests\r\nRetry-After: 1\r\nConnection: close\r\n\r\n";
const OPENINGS_BURST = 250;
const OPENINGS_PER_SECOND = 3;

type HelloMessage = Extract<ClientMessage, { kind: "hello" }>;

/** Documents an output holds before it lets go of those that are no longer wanted. */
const MOST_DOCUMENTS = 200;

export interface LiveParts {
  readonly host: ShowHost;
  readonly rundown: Rundown;
  readonly evenings: EveningStore;
  readonly venue: VenueStore;
  readonly fonts: Pick<FontStore, "onChange">;
  readonly contents: ContentStore;
  readonly links: LinkStore;
  readonly sessions: DeskSessions;
  readonly screens: ScreenStore;
  readonly buildId: string;
  readonly now: () => number;
  readonly readPeer: ReadPeer;
  readonly storage: () => StorageStatus;
  /** Told when the disk does otherwise than before. */
  readonly onStorage: (listener: () => void) => void;
  /** What every desk has to know. */
  readonly onNews: (listener: (sentence: string) => void) => void;
  readonly stalls: Stalls;
  /** How long a rehearsal waits for a desk whose window was lost, before it ends. */
  readonly rehearsalWaitsMs?: number;
}

/** A page that is loaded again, or a network that is gone for a moment, ends no rehearsal. */
const REHEARSAL_WAITS_MS = 10_000;

/** The live channel: every window holds one WebSocket, on the same port as the pages. */
export class LiveServer {
  readonly #parts: LiveParts;
  readonly #sockets = new WebSocketServer({ noServer: true, maxPayload: LARGEST_CLIENT_MESSAGE });
  readonly #connections = new Set<LiveWindow>();
  readonly #ticker: ReturnType<typeof setInterval>;
  readonly #clock: ReturnType<typeof setInterval>;
  readonly #openings: Throttle;
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
    this.#openings = new Throttle(OPENINGS_BURST, OPENINGS_PER_SECOND, parts.now);
    this.#tell(parts.host, "air");
    parts.screens.onChange(() => {
      const { outputs, plans } = parts.screens;
      for (const connection of this.#joined()) send(connection, { kind: "setUp", outputs, plans });
    });
    const drop = (isOver: (link: Entry) => boolean) => {
      for (const { link, socket } of this.#connections) if (link && isOver(link)) socket.close(4401);
    };
    parts.links.onRevoked((token) => drop((link) => link.token === token));
    parts.sessions.onEnded((id) => drop((link) => link.kind === "desk" && link.sessionId === id));
    parts.stalls.onStall((ms) => {
      // The silence was the server's own: it throws nobody out.
      for (const connection of this.#connections) connection.heardAtMs += ms;
    });
    parts.rundown.onChange((change) => this.#tellRundown(change));
    parts.venue.onChange((settings) => {
      for (const connection of this.#joined())
        if (connection.link?.kind !== "output") send(connection, { kind: "venue", settings });
    });
    parts.fonts.onChange(() => {
      for (const connection of this.#joined()) send(connection, { kind: "fonts" });
    });
    parts.onStorage(() => this.#tellStorage(this.#desks()));
    parts.onNews((sentence) => {
      for (const connection of this.#desks()) send(connection, { kind: "news", sentence });
    });
    parts.evenings.onChange(() => this.#tellRundown({ ...this.#rundownNow(), changed: [] }));
    this.#ticker = setInterval(() => this.#tick(), SCREENS_EVERY_MS);
    this.#clock = setInterval(() => {
      for (const host of this.hosts())
        host.tick().catch((error) => log.error("What was due could not be brought", error));
    }, CLOCK_EVERY_MS);
  }

  /** Tells the windows of a channel what happens in it. */
  #tell(host: ShowHost, channel: Channel): void {
    host.onEvent((logged, state) => {
      const heard = this.#joined().filter((connection) => connection.channel === channel);
      for (const connection of heard) {
        sendDocuments(connection, this.#parts.contents, contentsOf(state));
        send(connection, { kind: "event", logged });
      }
      this.#sendPrime(heard);
    });
  }

  #hostOf({ channel }: LiveWindow): ShowHost {
    return channel === "rehearsal" && this.#rehearsal ? this.#rehearsal : this.#parts.host;
  }

  /**
   * A desk changes over. The rehearsal begins with the air as it is when the first desk comes, and ends when the last goes back
   * to the air; for one that was lost it waits a while.
   */
  #setChannel(connection: LiveWindow, channel: Channel): void {
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

  #channelOf(link: Entry | null): Channel {
    return link?.kind === "output" && this.#rehearsedOn.includes(link.outputId) ? "rehearsal" : "air";
  }

  /** What was done in the rehearsal that goes on, or else in the last one. */
  get rehearsal(): RehearsalLog {
    return this.#rehearsalLog;
  }

  #desks(): LiveWindow[] {
    return this.#joined().filter(({ link }) => link?.kind === "desk");
  }

  #tellDesks(to?: readonly LiveWindow[]): void {
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

  /** What a desk lets its person do; undefined when no such desk is open. */
  modeOf(windowId: string): DeskMode | undefined {
    // Loaded again, a window may be there twice for a moment: what it said last counts.
    return this.#desks().findLast((desk) => desk.windowId === windowId)?.desk.mode;
  }

  #freeDeskNumber(): number {
    const taken = new Set(this.#desks().map(({ desk }) => desk.number));
    let number = 1;
    while (taken.has(number)) number++;
    return number;
  }

  handleUpgrade(request: IncomingMessage, socket: Duplex, head: Buffer): void {
    // Whoever goes away while the door is opened must not take the server along.
    socket.on("error", () => socket.destroy());
    const peer = this.#parts.readPeer(request);
    if (!isOwnOrigin(request, peer)) {
      socket.end("HTTP/1.1 403 Forbidden\r\nConnection: close\r\n\r\n");
      return;
    }
    if (!this.#openings.take(peer.address)) {
      // Whoever comes again and again waits for each answer.
      setTimeout(() => socket.end(TOO_MANY), TARPIT_MS);
      return;
    }
    findGivingWay(this.#connections, peer.address)?.socket.terminate();
    this.#sockets.handleUpgrade(request, socket, head, (opened) => this.#open(opened, peer.address));
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

  #open(socket: WebSocket, address: string): void {
    const connection = openedWindow(socket, address, this.#parts.now());
    this.#connections.add(connection);
    socket.on("message", (data, isBinary) => {
      void this.#hear(connection, isBinary ? undefined : data.toString()).catch((error) => {
        log.error("A message of a window failed", error);
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

  /** Tells a window why it is dropped, and drops it. */
  #drop(connection: LiveWindow, code: number, sentence: string): void {
    send(connection, { kind: "fault", sentence });
    connection.socket.close(code);
  }

  async #hear(connection: LiveWindow, text: string | undefined): Promise<void> {
    const { now } = this.#parts;
    if (connection.socket.readyState !== connection.socket.OPEN) return;
    connection.heardAtMs = now();
    const message = readMessage(text);
    const { allowance, verdict } = spend(connection.allowance, message?.kind === "command", now());
    connection.allowance = allowance;
    if (verdict === "flood")
      return this.#drop(connection, 4408, "This window says too much at once. The air is as it was.");
    if (!message)
      return this.#drop(
        connection,
        4400,
        "The server did not understand a message from this window, and did nothing. The air is as it was.",
      );
    if (message.kind === "ping") {
      send(connection, { kind: "pong", sentAtMs: message.sentAtMs, serverAtMs: now() });
      return;
    }
    if (message.kind === "hello") return this.#greet(connection, message);
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
        if (connection.link.sessionId !== null)
          await this.#parts.sessions.rename(connection.link.sessionId, message.name);
        this.#tellDesks();
        return;
    }
    const { command } = message;
    const refuse = (refused: Refusal) =>
      send(connection, { kind: "answer", id: command.id, refused, sentence: refusalSentence(refused) });
    if (verdict === "tooFast") return refuse("tooFast");
    const forbidden = refusalOfMode(connection.desk.mode, command.kind);
    if (forbidden) return refuse(forbidden);
    const answer = await this.#hostOf(connection).submit(command, {
      kind: "desk",
      id: connection.windowId,
      name: nameOf(connection),
    });
    send(connection, { kind: "answer", id: command.id, ...answer });
  }

  #greet(connection: LiveWindow, { token, windowId, rundownStamp, mode = "free" }: HelloMessage): void {
    if (connection.link) {
      this.#drop(connection, 4400, "This window said hello twice. The air is as it was.");
      return;
    }
    const link = findEntry(token, this.#parts.links, this.#parts.sessions);
    if (!link) {
      this.#drop(connection, 4401, "This link is not valid any more. Ask the desk for a new one.");
      return;
    }
    if (!hasRoom(this.#connections, link)) {
      this.#drop(connection, 4429, "Too many windows have this link open. Close some; the air is as it was.");
      return;
    }
    if (link.kind === "desk") connection.desk = { ...connection.desk, mode, number: this.#freeDeskNumber() };
    connection.link = link;
    connection.channel = this.#channelOf(link);
    connection.windowId = windowId;
    this.#welcome(connection, rundownStamp === this.rundownStamp);
    if (link.kind === "desk") this.#tellDesks();
  }

  /** @param knowsRundown it has all cues as they are now, and their documents: its page came with them */
  #welcome(connection: LiveWindow, knowsRundown = false): void {
    const { screens, buildId, now } = this.#parts;
    const { state } = this.#hostOf(connection);
    connection.sent.clear();
    sendDocuments(connection, this.#parts.contents, contentsOf(state));
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
    if (connection.link?.kind === "desk") {
      send(connection, { kind: "venue", settings: this.#parts.venue.settings });
      this.#tellStorage([connection]);
    }
    this.#sendPrime([connection]);
  }

  #tellStorage(to: readonly LiveWindow[]): void {
    const storage = this.#parts.storage();
    for (const connection of to) send(connection, { kind: "storage", storage });
  }

  /** What is on air, and what may be taken next: all that links besides the desk's may see. */
  contentsInSight(): Set<string> {
    const cues = this.#parts.rundown.ready();
    return new Set([
      ...contentsOf(this.#parts.host.state),
      ...targetsSoon(this.#parts.host.state, cues).map(({ content }) => content),
    ]);
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
      sendDocuments(connection, this.#parts.contents, hashes);
      const { order, changed } = change;
      send(connection, { kind: "rundown", stamp: this.rundownStamp, order, changed, evening });
    }
    this.#sendPrime();
  }

  /** What the take key would bring, and the step after it, for painting ahead. */
  #sendPrime(to = this.#joined()): void {
    const cues = this.#parts.rundown.ready();
    const onAir = targetsSoon(this.#parts.host.state, cues);
    const rehearsed = this.#rehearsal && targetsSoon(this.#rehearsal.state, cues);
    for (const connection of to) {
      const targets = connection.channel === "rehearsal" && rehearsed ? rehearsed : onAir;
      const hashes = targets.map(({ content }) => content);
      sendDocuments(connection, this.#parts.contents, hashes);
      if (connection.link?.kind === "output" && connection.sent.size > MOST_DOCUMENTS)
        letGo(connection, this.#parts.contents, [...contentsOf(this.#hostOf(connection).state), ...hashes]);
      send(connection, { kind: "prime", targets });
    }
  }

  #joined(): LiveWindow[] {
    return [...this.#connections].filter(({ link }) => link !== null);
  }

  #tick(): void {
    this.#parts.stalls.look();
    const nowMs = this.#parts.now();
    for (const connection of this.#connections) {
      const isNobody = connection.link === null && nowMs - connection.openedAtMs > HELLO_WITHIN_MS;
      if (isNobody || nowMs - connection.heardAtMs > SILENCE_MS || isTooSlow(connection, nowMs))
        connection.socket.terminate();
    }
    const screens = this.screens();
    const said = JSON.stringify(screens);
    if (said === this.#screensSaid) return;
    this.#screensSaid = said;
    for (const connection of this.#joined())
      if (connection.link?.kind !== "output") send(connection, { kind: "screens", screens });
  }
}

const nameOf = ({ desk }: Pick<LiveWindow, "desk">): string => desk.name || `Desk ${desk.number}`;
