import { WebSocket } from "ws";
import { ShowCopy } from "../../app/live/showCopy.ts";
import type { RemoteTold } from "../../core/remote/remoteView.ts";
import type { ServerMessage } from "../../core/wire/wire.ts";
import type { CutProxy } from "../../e2e/support/cutProxy.ts";

/** As windows come back, and give up what went deaf: app/live/connection.ts. */
const RETRY_MS = [150, 300, 500, 700];
const DEAF_AFTER_MS = 6_000;
const PING_MS = 1_000;
const MOST_SENTENCES = 500;

/** A window behind a network of its own that can be troubled: a desk, an output or a phone, with its copy of the show. */
export class FarWindow {
  readonly copy = new ShowCopy();
  remote: RemoteTold | undefined;
  /** Commands and presses that were answered, with why they were refused. */
  readonly answers = new Map<string, string | null>();
  /** What the server told it in words, the latest last. */
  readonly sentences: string[] = [];
  isHeard = false;
  #socket: WebSocket | undefined;
  #failures = 0;
  #isEnded = false;
  #deafTimer: NodeJS.Timeout | undefined;
  readonly #pinging: NodeJS.Timeout;

  constructor(
    readonly name: string,
    readonly wire: CutProxy,
    readonly base: string,
    readonly token: string,
  ) {
    this.#pinging = setInterval(() => this.say({ kind: "ping", sentAtMs: Date.now() }), PING_MS);
    this.#open();
  }

  /** @returns whether there was a connection to say it on */
  say(message: object): boolean {
    if (this.#socket?.readyState !== WebSocket.OPEN) return false;
    this.#socket.send(JSON.stringify(message));
    return true;
  }

  end(): void {
    this.#isEnded = true;
    clearInterval(this.#pinging);
    clearTimeout(this.#deafTimer);
    this.#socket?.terminate();
    this.wire.close();
  }

  #open(): void {
    const socket = new WebSocket(`${this.wire.through(this.base).replace("http", "ws")}live`);
    this.#socket = socket;
    this.#watchFor(socket);
    socket.on("open", () => {
      this.#failures = 0;
      this.say({ kind: "hello", token: this.token, windowId: `far-window-${this.name}` });
    });
    socket.on("error", () => {});
    socket.on("close", () => this.#lose(socket));
    socket.on("message", (data) => {
      if (this.#socket !== socket) return;
      this.#watchFor(socket);
      this.#hear(JSON.parse(String(data)) as ServerMessage);
    });
  }

  #watchFor(socket: WebSocket): void {
    clearTimeout(this.#deafTimer);
    this.#deafTimer = setTimeout(() => {
      socket.terminate();
      this.#lose(socket);
    }, DEAF_AFTER_MS);
  }

  #lose(socket: WebSocket): void {
    if (this.#socket !== socket) return;
    this.#socket = undefined;
    this.isHeard = false;
    clearTimeout(this.#deafTimer);
    if (!this.#isEnded)
      setTimeout(() => this.#open(), RETRY_MS[Math.min(this.#failures++, RETRY_MS.length - 1)]);
  }

  #hear(message: ServerMessage): void {
    switch (message.kind) {
      case "remote":
        this.remote = message;
        this.isHeard = true;
        break;
      case "answer":
        this.answers.set(message.id, message.refused);
        break;
      case "news":
      case "fault":
        this.#keep(message.sentence);
        break;
      case "storage":
        if (message.storage.kind !== "well") this.#keep(message.storage.sentence);
        break;
      case "feeds":
        for (const { doc, fault } of message.feeds) if (fault) this.#keep(`${doc.name}: ${fault.says}`);
        break;
      default:
        if (message.kind === "welcome") this.isHeard = true;
        if (this.copy.hear(message) === "broken") this.#socket?.close();
    }
  }

  #keep(sentence: string): void {
    this.sentences.push(sentence);
    if (this.sentences.length > MOST_SENTENCES) this.sentences.shift();
  }
}
