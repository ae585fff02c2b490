import { type ServerClock, UNKNOWN_CLOCK, updateClock } from "../../core/time/serverClock.ts";
import type { ClientMessage, ServerMessage } from "../../core/wire/wire.ts";
import { localNow } from "./clock.ts";
import { fontsChanged } from "./shaper.ts";

export type ConnectionStatus =
  | { readonly kind: "connecting" }
  | { readonly kind: "open" }
  /** The connection stands, and nothing is heard over it: the server is busy or frozen, or the network swallows. */
  | { readonly kind: "silent"; readonly sinceMs: number }
  | { readonly kind: "lost"; readonly sinceMs: number }
  /** The server will not have this window. */
  | { readonly kind: "refused" };

const FIRST_PINGS = 6;
const FIRST_PING_MS = 120;
const PING_MS = 2_000;
/** A window that acts has to know soon that nobody answers. */
const WATCHFUL_PING_MS = 400;
const SILENT_AFTER_MS = 900;
/** A window that was busy itself hears what waits for it first. */
const SILENCE_GRACE_MS = 100;
/** A screen that lost the server has it again within a second of its coming back. */
const RETRY_MS = [150, 300, 500, 700] as const;
/** A server without power closes nothing, and a cable that was pulled tells nobody: whoever hears nothing for so long tries anew. */
const DEAF_AFTER_MS = 6_000;
const REFUSED_CODE = 4401;

/** One window's WebSocket: says hello, keeps the server's time, comes back by itself. */
export class Connection {
  readonly #hello: () => Omit<Extract<ClientMessage, { kind: "hello" }>, "kind">;
  readonly #onMessage: (message: ServerMessage) => void;
  readonly #onStatus: (status: ConnectionStatus) => void;
  readonly #isWatchful: boolean;
  #heardAtMs = 0;
  #isSilent = false;
  /** Nothing was heard over this socket yet: the first word tells how the server's clock stands. */
  #isNew = true;
  #silenceTimer: ReturnType<typeof setTimeout> | undefined;
  #deafTimer: ReturnType<typeof setTimeout> | undefined;
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
    { isWatchful = false } = {},
  ) {
    this.#isWatchful = isWatchful;
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
    clearTimeout(this.#silenceTimer);
    clearTimeout(this.#deafTimer);
    this.#socket?.close();
  }

  #open(): void {
    const scheme = location.protocol === "https:" ? "wss" : "ws";
    const socket = new WebSocket(`${scheme}://${location.host}/live`);
    this.#socket = socket;
    this.#isNew = true;
    socket.onopen = () => {
      if (this.#socket !== socket) return;
      this.#failures = 0;
      this.#pings = 0;
      this.send({ kind: "hello", ...this.#hello() });
      this.#ping();
    };
    socket.onmessage = (event) => {
      if (this.#socket !== socket) return;
      this.#watchFor(socket);
      this.#hearSomething();
      const message = JSON.parse(event.data as string) as ServerMessage;
      if (message.kind === "pong") this.#hearPong(message.sentAtMs, message.serverAtMs);
      else {
        if (message.kind === "welcome" || (message.kind === "remote" && this.#isNew)) {
          this.#isNew = false;
          if (!this.#clock.best)
            this.#clock = { ...UNKNOWN_CLOCK, offsetMs: message.serverAtMs - localNow() };
          this.#lostSinceMs = undefined;
          this.#isSilent = false;
          this.#onStatus({ kind: "open" });
        }
        if (message.kind === "fonts") void fontsChanged();
        this.#onMessage(message);
      }
    };
    socket.onclose = (event) => this.#lose(socket, event.code === REFUSED_CODE);
    this.#watchFor(socket);
  }

  #lose(socket: WebSocket, isRefused: boolean): void {
    if (this.#socket !== socket) return;
    // One that is given up may still close much later.
    this.#socket = undefined;
    clearTimeout(this.#pingTimer);
    clearTimeout(this.#silenceTimer);
    clearTimeout(this.#deafTimer);
    if (this.#closed) return;
    if (isRefused) {
      this.#onStatus({ kind: "refused" });
      return;
    }
    this.#lostSinceMs ??= localNow();
    this.#onStatus({ kind: "lost", sinceMs: this.#lostSinceMs });
    const waitMs = RETRY_MS[Math.min(this.#failures, RETRY_MS.length - 1)];
    this.#failures++;
    this.#retryTimer = setTimeout(() => this.#open(), waitMs);
  }

  /** Gives a socket up over which nothing comes any more. */
  #watchFor(socket: WebSocket): void {
    clearTimeout(this.#deafTimer);
    this.#deafTimer = setTimeout(() => {
      // A window that was busy itself hears what waits for it first.
      this.#deafTimer = setTimeout(() => {
        socket.close();
        this.#lose(socket, false);
      }, SILENCE_GRACE_MS);
    }, DEAF_AFTER_MS);
  }

  #ping(): void {
    this.send({ kind: "ping", sentAtMs: localNow() });
    this.#pings++;
    const laterMs = this.#isWatchful ? WATCHFUL_PING_MS : PING_MS;
    this.#pingTimer = setTimeout(() => this.#ping(), this.#pings < FIRST_PINGS ? FIRST_PING_MS : laterMs);
  }

  /** Waits for the next word; when none comes, that is told. */
  #hearSomething(): void {
    if (!this.#isWatchful) return;
    this.#heardAtMs = localNow();
    clearTimeout(this.#silenceTimer);
    if (this.#isSilent) {
      this.#isSilent = false;
      this.#onStatus({ kind: "open" });
    }
    const sinceMs = this.#heardAtMs;
    this.#silenceTimer = setTimeout(() => {
      this.#silenceTimer = setTimeout(() => {
        if (this.#heardAtMs !== sinceMs || this.#lostSinceMs !== undefined) return;
        this.#isSilent = true;
        this.#onStatus({ kind: "silent", sinceMs });
      }, SILENCE_GRACE_MS);
    }, SILENT_AFTER_MS - SILENCE_GRACE_MS);
  }

  #hearPong(sentAtMs: number, serverAtMs: number): void {
    this.#clock = updateClock(this.#clock, { sentAtMs, receivedAtMs: localNow(), serverAtMs });
  }
}
