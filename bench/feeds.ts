import { renameSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { WebSocket } from "ws";
import type { ServerMessage } from "../core/wire/wire.ts";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { deskToken } from "../test-support/deskPage.ts";
import { Client, until } from "./client.ts";
import { distributionOf, printRow } from "./distribution.ts";
import { few } from "./few.ts";

const SAVES = few(150, 5);
const BETWEEN_MS = 250;
const STREETS = 20;
const PING_MS = 2_000;

/** A file of the feed folder is saved while a page that it fills is on air: how long until all five outputs have the new values. */
export async function benchFeeds(): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const token = await deskToken(show.base);
  const desk = new Client(show.base, token, "bench-feeds-desk");
  await until(() => desk.welcomes === 1 && desk.next !== undefined);
  const content = await contentOf(show.base, token);
  desk.say({
    kind: "command",
    command: {
      ...{ kind: "take", id: "bench-feeds-take", how: "cut", builtOn: desk.airRevision },
      target: { cueId: CUE, content, step: { occurrence: "page", unit: 0 } },
    },
  });
  await until(() => desk.answers.has("bench-feeds-take"));
  const heardAt = new Map<string, number[]>();
  const welcome = new Set<number>();
  const sockets = [0, 1, 2, 3, 4].map((i) => listen(show, i, heardAt, () => welcome.add(i)));
  await until(() => welcome.size === sockets.length);
  // A window that says nothing for ten seconds is taken for gone.
  const pinging = setInterval(() => {
    for (const socket of sockets) socket.send(JSON.stringify({ kind: "ping", sentAtMs: Date.now() }));
  }, PING_MS);
  const path = join(`${show.databaseFile}.feeds`, "lanterns.csv");
  const samples: number[] = [];
  for (let i = 0; i < SAVES; i++) {
    const lit = `${1_000 + i}`;
    const rows = Array.from(
      { length: STREETS },
      (_, at) => `Street ${at},${at === 0 ? lit : 100 + at},18:40`,
    );
    writeFileSync(`${path}.part`, ["street,lanterns,since", "Ropewalk,1,18:40", ...rows, ""].join("\n"));
    const savedAt = performance.now();
    renameSync(`${path}.part`, path);
    await until(() => (heardAt.get(lit)?.length ?? 0) >= sockets.length);
    for (const at of heardAt.get(lit) ?? []) samples.push(at - savedAt);
    await new Promise((resolve) => setTimeout(resolve, BETWEEN_MS));
  }
  printRow(
    `a file saved → ${STREETS} rows of it heard by each of 5 outputs`,
    "ms",
    distributionOf(samples),
    "p95 under 100 to notice and 150 to tell",
  );
  clearInterval(pinging);
  for (const socket of sockets) socket.terminate();
  desk.end();
  await show.stop();
}

/** The demo's page of live bars. */
const CUE = "cue-0033";

/** Its content, as a desk is told. */
function contentOf(base: string, token: string): Promise<string> {
  const socket = new WebSocket(`${base.replace("http", "ws")}/live`);
  socket.on("open", () =>
    socket.send(JSON.stringify({ kind: "hello", token, windowId: "bench-feeds-asks" })),
  );
  return new Promise((resolve) =>
    socket.on("message", (data) => {
      const message = JSON.parse(String(data)) as ServerMessage;
      if (message.kind !== "rundown") return;
      const compiled = message.changed.find(({ cueId }) => cueId === CUE)?.compiled;
      if (!compiled || !("hash" in compiled)) return;
      socket.terminate();
      resolve(compiled.hash);
    }),
  );
}

/** An output that notes when it heard each number. */
function listen(
  show: RunningShow,
  index: number,
  heardAt: Map<string, number[]>,
  onWelcome: () => void,
): WebSocket {
  const socket = new WebSocket(`${show.base.replace("http", "ws")}/live`);
  const token = show.outputLink(index).split("/").at(-1);
  socket.on("open", () =>
    socket.send(JSON.stringify({ kind: "hello", token, windowId: `bench-feeds-${index}` })),
  );
  socket.on("message", (data) => {
    const message = JSON.parse(String(data)) as ServerMessage;
    if (message.kind === "welcome") onWelcome();
    if (message.kind !== "values") return;
    const at = performance.now();
    for (const { cells } of message.changes)
      for (const lit of String(cells.rows ?? "").match(/\b1\d{3}\b/g) ?? [])
        heardAt.set(lit, [...(heardAt.get(lit) ?? []), at]);
  });
  return socket;
}
