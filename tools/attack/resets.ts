import { connect } from "node:net";
import { RunningShow } from "../../e2e/support/runningShow.ts";
import type { Attack } from "./attack.ts";
import { request } from "./raw.ts";
import { Taker } from "./taker.ts";

const UPGRADE = (host: string, origin: string, path = "/live") =>
  `GET ${path} HTTP/1.1\r\nHost: ${host}\r\nUpgrade: websocket\r\nConnection: Upgrade\r\nSec-WebSocket-Key: dGhlIHNhbXBsZSBub25jZQ==\r\nSec-WebSocket-Version: 13\r\nOrigin: ${origin}\r\n\r\n`;

/** Connections that begin to be opened and are reset at once, at every place of the way. */
export const resets: Attack = {
  name: "connections that are reset while they are opened",
  run: async (isLong) => {
    const show = new RunningShow(true, { isQuiet: true });
    await show.start();
    const base = new URL(show.base);
    const first = show.processId;
    const desk = await Taker.join(show);
    const broken: string[] = [];
    const openings = [
      UPGRADE(base.host, "http://elsewhere.example"),
      UPGRADE(base.host, show.base),
      UPGRADE("rebound.example", "http://rebound.example"),
      UPGRADE(base.host, show.base, "/elsewhere"),
      UPGRADE(base.host, show.base).slice(0, 90),
      "GET /run HTTP/1.1\r\nHost: ",
      "POST /edit HTTP/1.1\r\nHost: x\r\nContent-Length: 999999\r\n\r\n{",
      `${UPGRADE(base.host, show.base)}\xff\xff\xff\xff\xff\xff`,
      "\x16\x03\x01\x02\x00\x01\x00\x01\xfc\x03\x03",
    ];
    const rounds = isLong ? 60 : 12;
    let tries = 0;
    for (let round = 0; round < rounds; round++)
      for (const bytes of openings) {
        tries++;
        await new Promise<void>((resolve) => {
          const socket = connect({ host: base.hostname, port: Number(base.port) });
          socket.on("error", () => {});
          socket.on("close", () => resolve());
          socket.write(bytes, "latin1", () => setTimeout(() => socket.resetAndDestroy(), round % 4));
        });
      }
    await desk.take();
    if (!show.isRunning || show.processId !== first) broken.push("the server ended");
    if ((await request(base, "GET", "/healthz")).status !== 200)
      broken.push("the server does not answer any more");
    if (/A fault of ours/.test(show.said))
      broken.push(`a fault reached the process: ${show.said.slice(0, 300)}`);
    desk.end();
    await show.stop();
    return { tries, broken, figures: [] };
  },
};
