import type { Server } from "node:http";
import type { Socket } from "node:net";
import { keyOf } from "./guesses.ts";

/** Connections of all kinds at once, and of one address: a house full of screens has some hundreds. */
const MOST = 3_000;
const MOST_OF_ONE = 600;

/** Keeps one address from taking all connections there can be. */
export function limitConnections(server: Server): void {
  server.maxConnections = MOST;
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
