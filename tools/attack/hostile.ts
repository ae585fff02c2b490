import { connect } from "node:net";
import { setPriority } from "node:os";
import { WebSocket } from "ws";
import { request } from "./raw.ts";

/**
 * Hostile connections to a server of our own, each from an address of its own on the loopback, until this process is ended:
 * `hostile.ts BASE OUTPUT-TOKEN HOW-MANY`.
 */
// On another machine they would take nothing of this one's processor.
setPriority(19);

const [address = "", link = "", howMany = "20"] = process.argv.slice(2);
const base = new URL(address);
/** They are handed on by something between: so they are not of this machine. */
const FORWARDED = { "X-Forwarded-For": "203.0.113.9" };

const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

async function again(work: () => Promise<void>): Promise<void> {
  for (;;) {
    await work().catch(() => undefined);
    // A program on another machine comes back no faster than its network lets it.
    await pause(5);
  }
}

function open(localAddress: string, talk: (socket: WebSocket) => void, forMs: number): Promise<void> {
  return new Promise<void>((resolve) => {
    const socket = new WebSocket(`ws://${base.host}/live`, { localAddress, headers: FORWARDED });
    const timer = setTimeout(() => socket.terminate(), forMs);
    socket.on("open", () => talk(socket));
    socket.on("error", () => {});
    socket.on("close", () => {
      clearTimeout(timer);
      resolve();
    });
  });
}

const hello = JSON.stringify({ kind: "hello", token: link, windowId: "hostile-window" });
const JSON_TYPE = { ...FORWARDED, "Content-Type": "application/json" };

const WORKS: readonly ((from: string) => Promise<unknown>)[] = [
  // Says nothing.
  (from) => open(from, () => {}, 2_000),
  // Says what it likes, as fast as it can.
  (from) =>
    open(
      from,
      (socket) => {
        for (let i = 0; i < 400; i++) socket.send('{"kind":"ping","sentAtMs":1}');
      },
      1_000,
    ),
  (from) =>
    open(
      from,
      (socket) => {
        for (let i = 0; i < 100; i++) socket.send(hello);
      },
      1_000,
    ),
  (from) => open(from, (socket) => socket.send("x".repeat(2_000_000)), 1_000),
  // Joins and reads nothing.
  (from) =>
    open(
      from,
      (socket) => {
        socket.send(hello);
        socket.pause();
      },
      3_000,
    ),
  // Guesses, and asks for much.
  (from) => request(base, "POST", "/enter", JSON_TYPE, '{"passcode":"guessing"}', from),
  (from) => request(base, "GET", `/still/${link}?cue=cue-0001&output=wall&width=1920`, FORWARDED, "", from),
  // Says its head letter by letter.
  (localAddress) =>
    new Promise<void>((resolve) => {
      const socket = connect({ host: base.hostname, port: Number(base.port), localAddress });
      socket.on("error", () => {});
      socket.on("close", () => resolve());
      socket.write("GET /run HTTP/1.1\r\nHost: ");
      setTimeout(() => socket.destroy(), 1_500);
    }),
  (from) => request(base, "POST", "/edit", JSON_TYPE, "x".repeat(900_000), from),
  (from) => request(base, "GET", `/out/${link}`, FORWARDED, "", from),
];

for (let i = 0; i < Number(howMany); i++) {
  const work = WORKS[i % WORKS.length] as (from: string) => Promise<unknown>;
  void again(async () => void (await work(`127.0.0.${10 + i}`)));
}
// They are at it in earnest.
setTimeout(() => process.send?.("begun"), 6_000);
process.on("disconnect", () => process.exit(0));
