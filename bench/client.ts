import { WebSocket } from "ws";
import type { ServerMessage } from "../core/wire/wire.ts";

/** How a window comes back after it lost the server: app/live/connection.ts. */
const RETRY_MS = [150, 300, 500, 700];
const PING_MS = 2_000;

/** A window without a picture: it says hello, hears, and comes back by itself. */
export class Client {
  seq = -1;
  welcomes = 0;
  /** When it heard each event. */
  readonly heardAt = new Map<number, number>();
  /** Commands that were answered, with why they were refused. */
  readonly answers = new Map<string, string | null>();
  next: { cueId: string; content: string; step: unknown } | undefined;
  airRevision = 0;
  #socket: WebSocket | undefined;
  #failures = 0;
  #ended = false;
  readonly #pinging: ReturnType<typeof setInterval>;

  constructor(
    readonly base: string,
    readonly token: string,
    readonly windowId: string,
  ) {
    this.#open();
    this.#pinging = setInterval(() => this.say({ kind: "ping", sentAtMs: Date.now() }), PING_MS);
  }

  say(message: unknown): void {
    if (this.#socket?.readyState === WebSocket.OPEN) this.#socket.send(JSON.stringify(message));
  }

  end(): void {
    this.#ended = true;
    clearInterval(this.#pinging);
    this.#socket?.terminate();
  }

  #open(): void {
    const socket = new WebSocket(`${this.base.replace("http", "ws")}/live`);
    this.#socket = socket;
    socket.on("open", () => {
      this.#failures = 0;
      this.say({ kind: "hello", token: this.token, windowId: this.windowId });
    });
    socket.on("error", () => {});
    socket.on("close", () => {
      if (!this.#ended)
        setTimeout(() => this.#open(), RETRY_MS[Math.min(this.#failures++, RETRY_MS.length - 1)]);
    });
    socket.on("message", (data) => {
      const at = performance.now();
      const message = JSON.parse(String(data)) as ServerMessage;
      if (message.kind === "welcome") {
        this.seq = message.state.seq;
        this.airRevision = message.state.airRevision;
        this.welcomes++;
      } else if (message.kind === "event") {
        this.seq = message.logged.seq;
        this.heardAt.set(this.seq, at);
        if (message.logged.event.kind === "taken") this.airRevision++;
      } else if (message.kind === "preload") this.next = message.targets[0];
      else if (message.kind === "answer") this.answers.set(message.id, message.refused);
    });
  }
}

export const until = async (isSo: () => boolean) => {
  while (!isSo()) await new Promise((resolve) => setTimeout(resolve, 2));
};
