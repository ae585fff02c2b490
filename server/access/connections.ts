import type { Server } from "node:http";
import type { Socket } from "node:net";
import { keyOf } from "./guesses.ts";

/** Connections of all kinds at once, and of one address: a house full of screens has some hundreds. */
const MOST = 3_000;
const MOST_OF_ONE = 600;

/** Whoever sends its head letter by letter is not waited for; files may take their time. */
const TIMEOUTS = { headMs: 10_000, requestMs: 15 * 60_000 };

/** Keeps one address from taking all connections there can be, and anybody from keeping one for nothing. */
export function limitConnections(server: Server, { headMs, requestMs } = TIMEOUTS): void {
  server.maxConnections = MOST;
  server.headersTimeout = headMs;
  server.requestTimeout = requestMs;
  server.on("clientError", (error: NodeJS.ErrnoException, socket) => {
    // Browsers open connections ahead of need. What they ask on one at the moment it is given up, they ask again on
    // another, as long as nothing was answered.
    const wasLate = error.code === "ERR_HTTP_REQUEST_TIMEOUT";
    if (socket.writable && !wasLate) socket.end("HTTP/1.1 400 Bad Request\r\nConnection: close\r\n\r\n");
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
