import type { WebSocket } from "ws";
import type { DeskMode } from "../../core/show/deskMode.ts";
import {
  type Channel,
  type ClientMessage,
  clientMessageSchema,
  type ScreenHealth,
  type ServerMessage,
} from "../../core/wire/wire.ts";
import type { Entry } from "../access/entry.ts";
import { type Allowance, FULL_ALLOWANCE } from "./allowance.ts";

/** What may wait for a window that does not read, in bytes, and for how long more than a little may wait. */
const MOST_WAITING_BYTES = 64 * 1024 * 1024;
const SLOW_BYTES = 2 * 1024 * 1024;
const SLOW_FOR_MS = 5_000;

/** One window's end of the live channel, as the server knows it. */
export interface LiveWindow {
  readonly socket: WebSocket;
  readonly address: string;
  openedAtMs: number;
  /** Null until it has said hello. */
  link: Entry | null;
  channel: Channel;
  windowId: string;
  /** What a desk said of itself. */
  desk: { readonly number: number; readonly name: string; readonly mode: DeskMode };
  /** Documents this window has been sent. */
  readonly sent: Set<string>;
  heardAtMs: number;
  painted: ScreenHealth["windows"][number]["painted"];
  allowance: Allowance;
  /** Since when more than a little waits for it to read. */
  slowSinceMs: number | null;
}

export function openedWindow(socket: WebSocket, address: string, atMs: number): LiveWindow {
  return {
    socket,
    address,
    openedAtMs: atMs,
    link: null,
    channel: "air",
    windowId: "",
    desk: { number: 0, name: "", mode: "free" },
    sent: new Set(),
    heardAtMs: atMs,
    painted: null,
    allowance: FULL_ALLOWANCE,
    slowSinceMs: null,
  };
}

export function send({ socket }: LiveWindow, message: ServerMessage): void {
  if (socket.readyState !== socket.OPEN) return;
  // Whoever lets so much wait does not read at all: it would be kept here for nobody.
  if (socket.bufferedAmount > MOST_WAITING_BYTES) socket.terminate();
  else socket.send(JSON.stringify(message));
}

/** A time in which the server itself stood still counts against no window. */
export function countNot(window: LiveWindow, stoodStillMs: number): void {
  window.openedAtMs += stoodStillMs;
  window.heardAtMs += stoodStillMs;
  if (window.slowSinceMs !== null) window.slowSinceMs += stoodStillMs;
}

/** Whether a window has not read for so long that it is dropped; it comes back by itself when it can. */
export function isTooSlow(window: LiveWindow, nowMs: number): boolean {
  if (window.socket.bufferedAmount < SLOW_BYTES) window.slowSinceMs = null;
  else window.slowSinceMs ??= nowMs;
  return window.slowSinceMs !== null && nowMs - window.slowSinceMs > SLOW_FOR_MS;
}

/** What a window said; undefined when it is not understood. */
export function readMessage(text: string | undefined): ClientMessage | undefined {
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
