import type { IncomingMessage } from "node:http";
import type { Duplex } from "node:stream";
import { type WebSocket, WebSocketServer } from "ws";
import { t } from "../../core/language/t.ts";
import type { RemoteTold } from "../../core/remote/remoteView.ts";
import { type Grant, neededFor, refusalOf } from "../../core/show/capabilities.ts";
import { type Refusal, refusalSentence } from "../../core/show/commands.ts";
import { type ClientMessage, LARGEST_CLIENT_MESSAGE, type ScreenHealth } from "../../core/wire/wire.ts";
import { type Entry, findEntry } from "../access/entry.ts";
import { isOwnOrigin, type ReadPeer } from "../access/peer.ts";
import type { DeskSessions } from "../access/sessions.ts";
import { Throttle } from "../access/throttle.ts";
import type { FeedHost } from "../feeds/feedHost.ts";
import type { LiveBindings } from "../feeds/liveBindings.ts";
import type { FollowHost } from "../follow/followHost.ts";
import type { Health } from "../health/health.ts";
import type { Stalls } from "../health/stalls.ts";
import type { Answer, ShowHost } from "../host/showHost.ts";
import type { ValueHost } from "../host/valueHost.ts";
import { log } from "../log/log.ts";
import type { BesideLog } from "../report/besideLog.ts";
import type { Rundown } from "../rundown/rundown.ts";
import type { ContentStore } from "../store/contentStore.ts";
import type { DesignStore } from "../store/designStore.ts";
import type { EveningStore } from "../store/eveningStore.ts";
import type { FontStore } from "../store/fontStore.ts";
import type { LinkStore, MadeLink } from "../store/linkStore.ts";
import type { MediaStore } from "../store/mediaStore.ts";
import type { ScreenStore } from "../store/screenStore.ts";
import type { VenueStore } from "../store/venueStore.ts";
import { spend } from "./allowance.ts";
import { findGivingWay, HELLO_WITHIN_MS, hasRoom } from "./crowd.ts";

import { actorOf, grantOfWindow, Presence } from "./presence.ts";
import type { RehearsalLog } from "./rehearsalLog.ts";
import { Rehearsals } from "./rehearsals.ts";
import { Remotes } from "./remotes.ts";
import { Teller } from "./teller.ts";
import { countNot, isTooSlow, type LiveWindow, openedWindow, readMessage, send } from "./window.ts";
import { Windows } from "./windows.ts";

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

export interface LiveParts {
  readonly host: ShowHost;
  readonly rundown: Rundown;
  readonly evenings: EveningStore;
  readonly venue: VenueStore;
  readonly fonts: Pick<FontStore, "onChange">;
  readonly designs: DesignStore;
  readonly contents: ContentStore;
  readonly links: LinkStore;
  readonly sessions: DeskSessions;
  readonly screens: ScreenStore;
  readonly values: ValueHost;
  readonly feeds: FeedHost;
  readonly bindings: LiveBindings;
  readonly follow: FollowHost;
  readonly media: Pick<MediaStore, "onChange">;
  readonly buildId: string;
  readonly now: () => number;
  readonly readPeer: ReadPeer;
  readonly health: Pick<Health, "storage" | "onStorage">;
  /** What every desk has to know. */
  readonly onNews: (listener: (sentence: string) => void) => void;
  readonly stalls: Stalls;
  /** What is written down beside the log of the air. */
  readonly beside: Pick<BesideLog, "add" | "painted">;
  /** What a desk is told when it comes; undefined for nothing. */
  readonly greeting: () => string | undefined;
  /** Where windows find the show if this server is gone; null: nowhere. */
  readonly second: () => string | null;
  /** How long a rehearsal waits for a desk whose window was lost, before it ends. */
  readonly rehearsalWaitsMs?: number;
}

/** The live channel: every window holds one WebSocket, on the same port as the pages. */
export class LiveServer {
  readonly #parts: LiveParts;
  readonly #sockets = new WebSocketServer({ noServer: true, maxPayload: LARGEST_CLIENT_MESSAGE });
  readonly #windows = new Windows();
  readonly #rehearsals: Rehearsals;
  readonly #presence: Presence;
  readonly #remotes: Remotes;
  readonly #teller: Teller;
  readonly #ticker: ReturnType<typeof setInterval>;
  readonly #clock: ReturnType<typeof setInterval>;
  readonly #openings: Throttle;
  #screensSaid = "";
  /** Templates with a draft, as desks were told of them. */
  readonly #drafts = new Set<string>();
  /** Output → when one of its windows was last heard. */
  readonly #lastHeard = new Map<string, number>();

  constructor(parts: LiveParts) {
    this.#parts = parts;
    this.#openings = new Throttle(OPENINGS_BURST, OPENINGS_PER_SECOND, parts.now);
    this.#rehearsals = new Rehearsals({
      air: parts.host,
      contents: parts.contents,
      screens: parts.screens,
      windows: this.#windows,
      onBegun: (host) => this.#teller.follow(host, "rehearsal"),
      onMoved: (moved) => {
        for (const window of moved) this.#teller.welcome(window);
        this.#presence.tell();
      },
      ...(parts.rehearsalWaitsMs !== undefined && { waitsMs: parts.rehearsalWaitsMs }),
    });
    this.#remotes = new Remotes({ ...parts, windows: this.#windows });
    this.#presence = new Presence(
      this.#windows,
      () => this.#rehearsals.rehearsedOn,
      () => this.#remotes.presence(),
    );
    parts.host.onEvent(() => this.#remotes.tellSoon());
    this.#teller = new Teller({
      ...parts,
      windows: this.#windows,
      rehearsals: () => this.#rehearsals,
      screensHealth: () => this.screens(),
    });
    this.#teller.follow(parts.host, "air");
    parts.screens.onChange(() => {
      const { outputs, plans } = parts.screens;
      for (const connection of this.#windows.joined()) send(connection, { kind: "setUp", outputs, plans });
      this.#remotes.welcome();
    });
    const drop = (isOver: (link: Entry) => boolean) => {
      for (const { link, socket } of this.#windows.all) if (link && isOver(link)) socket.close(4401);
    };
    parts.links.onRevoked((token) => drop((link) => link.token === token));
    parts.sessions.onEnded((id) => drop((link) => link.kind === "desk" && link.sessionId === id));
    parts.stalls.onStall((ms) => {
      for (const connection of this.#windows.all) countNot(connection, ms);
    });
    parts.rundown.onChange((change) => {
      this.#teller.tellRundown(change);
      this.#remotes.tellSoon();
    });
    parts.values.onChange((changes) => this.#teller.tellValues(changes));
    parts.feeds.onChange(() => this.#teller.tellFeedsSoon());
    parts.bindings.onProblems(() => this.#teller.tellFeedsSoon());
    parts.feeds.onNews((sentence) => this.tellNews(sentence));
    parts.follow.onChange((what) => this.#teller.tellFollow(what));
    parts.media.onChange(() => this.#teller.tellFollow("sources"));
    parts.venue.onChange((settings) => {
      for (const connection of this.#windows.joined())
        if (connection.link?.kind !== "output") send(connection, { kind: "venue", settings });
    });
    parts.designs.onChange(({ kind, id }, isPublished) => {
      const revision = parts.designs.find(kind, id)?.revision ?? null;
      for (const connection of this.#windows.desks())
        send(connection, { kind: "design", of: { kind, id }, revision });
      if (isPublished && kind !== "style") this.#teller.tellDesigns(this.#windows.joined());
      else if (kind === "template" && this.#isOtherDraft(id)) this.#teller.tellDesigns(this.#windows.desks());
    });
    parts.fonts.onChange(() => {
      for (const connection of this.#windows.joined()) send(connection, { kind: "fonts" });
    });
    parts.health.onStorage(() => this.#teller.tellStorage(this.#windows.desks()));
    parts.onNews((sentence) => this.tellNews(sentence));
    parts.evenings.onChange(() => this.#teller.tellRundown({ ...this.#teller.rundownNow(), changed: [] }));
    this.#ticker = setInterval(() => this.#tick(), SCREENS_EVERY_MS);
    this.#clock = setInterval(() => {
      for (const host of this.hosts())
        host.tick().catch((error) => log.error("What was due could not be brought", error));
    }, CLOCK_EVERY_MS);
  }

  /** Whether a template has a draft now and had none, or the other way about: each change of one is told to Design alone. */
  #isOtherDraft(id: string): boolean {
    const had = this.#drafts.has(id);
    const has = (this.#parts.designs.find("template", id)?.draft ?? null) !== null;
    if (has) this.#drafts.add(id);
    else this.#drafts.delete(id);
    return had !== has;
  }

  /** The air, and the rehearsal that goes on. */
  hosts(): readonly ShowHost[] {
    const { host } = this.#rehearsals;
    return host ? [this.#parts.host, host] : [this.#parts.host];
  }

  /** Another machine follows this one, or not any more. */
  tellSecond(): void {
    this.#teller.tellSecond([...this.#windows.all]);
  }

  /** All that a phone is told. */
  remoteTold(link: MadeLink<"remote">): RemoteTold {
    return this.#remotes.told(link);
  }

  /** A link of phones means something else. */
  tellRemotes(): void {
    this.#remotes.welcome();
    this.#presence.tell();
  }

  /** What was done in the rehearsal that goes on, or else in the last one. */
  get rehearsal(): RehearsalLog {
    return this.#rehearsals.log;
  }

  /** What the person at a desk may do; undefined when no such desk is open. */
  grantOf(windowId: string): Grant | undefined {
    return this.#presence.grantOf(windowId);
  }

  deskNameOf(windowId: string | null): string {
    return this.#presence.nameOf(windowId);
  }

  contentsInSight(): Set<string> {
    return this.#teller.contentsInSight();
  }

  /** Names the rundown as it is now. */
  get rundownStamp(): string {
    return this.#teller.rundownStamp;
  }

  screens(): ScreenHealth[] {
    return this.#parts.screens.outputs.map(({ id }) => ({
      outputId: id,
      lastHeardAtMs: this.#lastHeard.get(id) ?? null,
      windows: this.#windows
        .joined()
        .filter(({ link }) => link?.kind === "output" && link.outputId === id)
        .map(({ windowId, painted, heardAtMs }) => ({ windowId, painted, heardAtMs })),
    }));
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
    findGivingWay(this.#windows.all, peer.address)?.socket.terminate();
    this.#sockets.handleUpgrade(request, socket, head, (opened) => this.#open(opened, peer.address));
  }

  close(): void {
    clearInterval(this.#ticker);
    clearInterval(this.#clock);
    this.#rehearsals.close();
    this.#teller.close();
    for (const { socket } of this.#windows.all) socket.close(1001);
    this.#sockets.close();
  }

  /** Tells all desks something that they have to know. */
  tellNews(sentence: string): void {
    for (const connection of this.#windows.desks()) send(connection, { kind: "news", sentence });
  }

  #open(socket: WebSocket, address: string): void {
    const connection = openedWindow(socket, address, this.#parts.now());
    this.#windows.all.add(connection);
    socket.on("message", (data, isBinary) => {
      void this.#hear(connection, isBinary ? undefined : data.toString()).catch((error) => {
        log.error("A message of a window failed", error);
        send(connection, {
          kind: "fault",
          sentence: t`The server failed on that. The air is as it was; press again.`,
        });
      });
    });
    socket.on("close", () => {
      this.#windows.all.delete(connection);
      if (connection.link?.kind === "remote") this.#presence.tell();
      if (connection.link?.kind !== "desk") return;
      this.#rehearsals.lost(connection);
      this.#presence.tell();
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
    const { allowance, verdict } = spend(
      connection.allowance,
      message?.kind === "command" || message?.kind === "press",
      now(),
    );
    connection.allowance = allowance;
    if (verdict === "flood")
      return this.#drop(connection, 4408, t`This window says too much at once. The air is as it was.`);
    if (!message)
      return this.#drop(
        connection,
        4400,
        t`The server did not understand a message from this window, and did nothing. The air is as it was.`,
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
      if (connection.link.kind === "output") {
        this.#lastHeard.set(connection.link.outputId, now());
        this.#parts.beside.painted(connection.link.outputId, painted.missed);
      }
      return;
    }
    if (message.kind === "press" && connection.link.kind === "remote") {
      const answer =
        verdict === "tooFast"
          ? { refused: "tooFast" as const, sentence: refusalSentence("tooFast") }
          : await this.#remotes.press(connection, message, message.id);
      send(connection, { kind: "answer", id: message.id, ...answer });
      if (answer.refused)
        this.#parts.beside.add("refused", this.#remotes.nameOf(connection), null, answer.sentence ?? "");
      return;
    }
    if (connection.link.kind !== "desk" || message.kind === "press") {
      send(connection, { kind: "fault", sentence: refusalSentence("onlyShows") });
      return;
    }
    switch (message.kind) {
      case "channel":
        this.#rehearsals.setChannel(connection, message.channel);
        this.#teller.welcome(connection, true);
        this.#presence.tell();
        return;
      case "values": {
        const { tableId, cells } = message;
        const refused = refusalOf(grantOfWindow(connection), "score", tableId);
        const problem = refused
          ? refusalSentence(refused)
          : this.#parts.values.set(tableId, cells, actorOf(connection));
        if (problem !== undefined) send(connection, { kind: "fault", sentence: problem });
        return;
      }
      case "rehearseOn":
        if (connection.channel === "rehearsal") this.#rehearsals.showOn(message.outputIds);
        return;
      case "desk":
        connection.desk = { ...connection.desk, name: message.name, mode: message.mode };
        if (connection.link.sessionId !== null)
          await this.#parts.sessions.rename(connection.link.sessionId, message.name);
        this.#presence.tell();
        return;
    }
    const { command } = message;
    const tell = (answer: Answer) => {
      send(connection, { kind: "answer", id: command.id, ...answer });
      if (answer.refused && connection.channel === "air")
        this.#parts.beside.add(
          "refused",
          this.#presence.nameOf(connection.windowId),
          null,
          answer.sentence ?? "",
        );
    };
    const refuse = (refused: Refusal) => tell({ refused, sentence: refusalSentence(refused) });
    if (verdict === "tooFast") return refuse("tooFast");
    const forbidden = refusalOf(grantOfWindow(connection), neededFor(command.kind));
    if (forbidden) return refuse(forbidden);
    tell(await this.#rehearsals.hostOf(connection).submit(command, actorOf(connection)));
  }

  #greet(connection: LiveWindow, { token, windowId, rundownStamp, mode = "free" }: HelloMessage): void {
    if (connection.link) {
      this.#drop(connection, 4400, t`This window said hello twice. The air is as it was.`);
      return;
    }
    const link = findEntry(token, this.#parts.links, this.#parts.sessions);
    if (!link) {
      this.#drop(connection, 4401, t`This link is not valid any more. Ask the desk for a new one.`);
      return;
    }
    if (!hasRoom(this.#windows.all, link)) {
      this.#drop(
        connection,
        4429,
        t`Too many windows have this link open. Close some; the air is as it was.`,
      );
      return;
    }
    if (link.kind === "desk")
      connection.desk = { ...connection.desk, mode, number: this.#presence.freeNumber() };
    connection.link = link;
    connection.channel = this.#rehearsals.channelOf(link);
    connection.windowId = windowId;
    if (link.kind === "remote") {
      this.#remotes.welcome([connection]);
      this.#teller.tellSecond([connection]);
      this.#presence.tell();
      return;
    }
    this.#teller.welcome(connection, rundownStamp === this.rundownStamp);
    if (link.kind !== "desk") return;
    this.#presence.tell();
    const sentence = this.#parts.greeting();
    if (sentence !== undefined) send(connection, { kind: "news", sentence });
  }

  #tick(): void {
    this.#parts.stalls.look();
    // What leaves by itself leaves without an event.
    this.#remotes.tellSoon();
    const nowMs = this.#parts.now();
    for (const connection of this.#windows.all) {
      const isNobody = connection.link === null && nowMs - connection.openedAtMs > HELLO_WITHIN_MS;
      if (isNobody || nowMs - connection.heardAtMs > SILENCE_MS || isTooSlow(connection, nowMs))
        connection.socket.terminate();
    }
    const screens = this.screens();
    const said = JSON.stringify(screens);
    if (said === this.#screensSaid) return;
    this.#screensSaid = said;
    for (const connection of this.#windows.joined())
      if (connection.link?.kind !== "output") send(connection, { kind: "screens", screens });
  }
}
