import type { Server } from "node:http";
import type { Socket } from "node:net";
import { keyOf } from "./guesses.ts";

/** Connections of all kinds at once, and of one address: a house full of screens has some hundreds. */
const MOST = 3_000;
const MOST_OF_ONE = 600;

const GRACE_MS = 250;
/** Whoever sends its head letter by letter is not waited for; files may take their time. */
const TIMEOUTS = { headMs: 10_000, requestMs: 15 * 60_000 };

/** Keeps one address from taking all connections there can be, and anybody from keeping one for nothing. */
export function limitConnections(server: Server, { headMs, requestMs } = TIMEOUTS): void {
  server.maxConnections = MOST;
  server.headersTimeout = headMs;
  server.requestTimeout = requestMs;
  const asked = new WeakMap<object, number>();
  const timesAsked = (socket: object) => asked.get(socket) ?? 0;
  const hasAsked = (socket: object) => asked.set(socket, timesAsked(socket) + 1);
  server.on("request", ({ socket }) => hasAsked(socket));
  server.on("upgrade", (_request, socket) => {
    hasAsked(socket);
    // Nobody else listens for it yet.
    if (server.listenerCount("upgrade") === 1)
      socket.end("HTTP/1.1 503 Service Unavailable\r\nConnection: close\r\n\r\n");
  });
  server.on("clientError", (error: NodeJS.ErrnoException, socket) => {
    if (error.code === "ERR_HTTP_REQUEST_TIMEOUT") {
      // It may be this server that stood still: what came meanwhile is read before anybody is given up. Nothing is
      // answered then, so that a browser that had opened the connection ahead of need asks again on another.
      const before = timesAsked(socket);
      setTimeout(() => timesAsked(socket) === before && socket.destroy(), GRACE_MS).unref();
    } else if (socket.writable) socket.end("HTTP/1.1 400 Bad Request\r\nConnection: close\r\n\r\n");
    else socket.destroy();
  });
  const open = new Map<string, number>();
  server.on("connection", (socket: Socket) => {
    const key = keyOf(socket.remoteAddress ?? "");
    const count = (open.get(key) ?? 0) + 1;
    open.set(key, count);
    socket.once("close", () => {
      const left = (open.get(key) ?? 1) - 1;
      if (left > 0) open.set(key, left);
      else open.delete(key);
    });
    if (count > MOST_OF_ONE) socket.destroy();
  });
}
