import type { ClientMessage, ServerMessage } from "../../core/show/wire.ts";
import { type ServerClock, UNKNOWN_CLOCK, updateClock } from "../../core/time/serverClock.ts";
import { localNow } from "./clock.ts";

export type ConnectionStatus =
  | { readonly kind: "connecting" }
  | { readonly kind: "open" }
  | { readonly kind: "lost"; readonly sinceMs: number }
  /** The server will not have this window. */
  | { readonly kind: "refused" };

const FIRST_PINGS = 6;
const FIRST_PING_MS = 120;
const PING_MS = 2_000;
const RETRY_MS = [150, 300, 600, 1_000, 2_000] as const;
const REFUSED_CODE = 4401;

/** One window's WebSocket: says hello, keeps the server's time, comes back by itself. */
export class Connection {
  readonly #hello: () => Omit<Extract<ClientMessage, { kind: "hello" }>, "kind">;
  readonly #onMessage: (message: ServerMessage) => void;
  readonly #onStatus: (status: ConnectionStatus) => void;
  #socket: WebSocket | undefined;
  #clock: ServerClock = UNKNOWN_CLOCK;
  #pingTimer: ReturnType<typeof setTimeout> | undefined;
  #retryTimer: ReturnType<typeof setTimeout> | undefined;
  #pings = 0;
  #failures = 0;
  #lostSinceMs: number | undefined;
  #closed = false;

  constructor(
    hello: () => Omit<Extract<ClientMessage, { kind: "hello" }>, "kind">,
    onMessage: (message: ServerMessage) => void,
    onStatus: (status: ConnectionStatus) => void,
  ) {
    this.#hello = hello;
    this.#onMessage = onMessage;
    this.#onStatus = onStatus;
    this.#open();
  }

  /** Server time in ms, as well as it is known. */
  now(): number {
    return localNow() + this.#clock.offsetMs;
  }

  /** How this machine's clock stands to the server's; null before the first answer. */
  get clock(): { readonly offsetMs: number; readonly roundTripMs: number } | null {
    const { offsetMs, best } = this.#clock;
    return best && { offsetMs, roundTripMs: best.roundTripMs };
  }

  /** @returns false when there is no connection to send on; nothing is kept for later */
  send(message: ClientMessage): boolean {
    if (this.#socket?.readyState !== WebSocket.OPEN) return false;
    this.#socket.send(JSON.stringify(message));
    return true;
  }

  /** Drops the socket and connects anew, for when what came over it does not fit together. */
  restart(): void {
    this.#socket?.close();
  }

  close(): void {
    this.#closed = true;
    clearTimeout(this.#pingTimer);
    clearTimeout(this.#retryTimer);
    this.#socket?.close();
  }

  #open(): void {
    const scheme = location.protocol === "https:" ? "wss" : "ws";
    const socket = new WebSocket(`${scheme}://${location.host}/live`);
    this.#socket = socket;
    socket.onopen = () => {
      this.#failures = 0;
      this.#pings = 0;
      this.send({ kind: "hello", ...this.#hello() });
      this.#ping();
    };
    socket.onmessage = (event) => {
      const message = JSON.parse(event.data as string) as ServerMessage;
      if (message.kind === "pong") this.#hearPong(message.sentAtMs, message.serverAtMs);
      else {
        if (message.kind === "welcome") {
          if (!this.#clock.best)
            this.#clock = { ...UNKNOWN_CLOCK, offsetMs: message.serverAtMs - localNow() };
          this.#lostSinceMs = undefined;
          this.#onStatus({ kind: "open" });
        }
        this.#onMessage(message);
      }
    };
    socket.onclose = (event) => {
      if (this.#socket !== socket) return;
      clearTimeout(this.#pingTimer);
      if (this.#closed) return;
      if (event.code === REFUSED_CODE) {
        this.#onStatus({ kind: "refused" });
        return;
      }
      this.#lostSinceMs ??= localNow();
      this.#onStatus({ kind: "lost", sinceMs: this.#lostSinceMs });
      const waitMs = RETRY_MS[Math.min(this.#failures, RETRY_MS.length - 1)];
      this.#failures++;
      this.#retryTimer = setTimeout(() => this.#open(), waitMs);
    };
  }

  #ping(): void {
    this.send({ kind: "ping", sentAtMs: localNow() });
    this.#pings++;
    this.#pingTimer = setTimeout(() => this.#ping(), this.#pings < FIRST_PINGS ? FIRST_PING_MS : PING_MS);
  }

  #hearPong(sentAtMs: number, serverAtMs: number): void {
    this.#clock = updateClock(this.#clock, { sentAtMs, receivedAtMs: localNow(), serverAtMs });
  }
}
