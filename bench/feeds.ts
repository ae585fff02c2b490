import { renameSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { WebSocket } from "ws";
import type { ServerMessage } from "../core/wire/wire.ts";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { Client, deskToken, until } from "./client.ts";
import { distributionOf, printRow } from "./distribution.ts";

const SAVES = 150;
const BETWEEN_MS = 250;
const STREETS = 20;

/** A file of the feed folder is saved while a page that it fills is on air: how long until all five outputs have the new values. */
export async function benchFeeds(): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const desk = new Client(show.base, await deskToken(show.base), "bench-feeds-desk");
  await until(() => desk.welcomes === 1 && desk.next !== undefined);
  const content = await contentOf(show.base);
  desk.say({
    kind: "command",
    command: {
      ...{ kind: "take", id: "bench-feeds-take", how: "cut", builtOn: desk.airRevision },
      target: { cueId: CUE, content, step: { occurrence: "page", unit: 0 } },
    },
  });
  await until(() => desk.answers.has("bench-feeds-take"));
  const heardAt = new Map<string, number[]>();
  const sockets = [0, 1, 2, 3, 4].map((i) => listen(show, i, heardAt));
  await until(() => sockets.every(({ readyState }) => readyState === WebSocket.OPEN));
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
  for (const socket of sockets) socket.terminate();
  desk.end();
  await show.stop();
}

/** The demo's page of live bars. */
const CUE = "cue-0033";

/** Its content, as the desk's page names it. */
async function contentOf(base: string): Promise<string> {
  const page = await (await fetch(`${base}/run`)).text();
  const at = page.indexOf(CUE);
  const hash = /[0-9a-f]{64}/.exec(page.slice(at))?.[0];
  if (at < 0 || !hash) throw new Error(`the desk's page names no ${CUE}`);
  return hash;
}

/** An output that notes when it heard each number. */
function listen(show: RunningShow, index: number, heardAt: Map<string, number[]>): WebSocket {
  const socket = new WebSocket(`${show.base.replace("http", "ws")}/live`);
  const token = show.outputLink(index).split("/").at(-1);
  socket.on("open", () =>
    socket.send(JSON.stringify({ kind: "hello", token, windowId: `bench-feeds-${index}` })),
  );
  socket.on("message", (data) => {
    const message = JSON.parse(String(data)) as ServerMessage;
    if (message.kind !== "values") return;
    const at = performance.now();
    for (const { cells } of message.changes)
      for (const lit of String(cells.rows ?? "").match(/\b1\d{3}\b/g) ?? [])
        heardAt.set(lit, [...(heardAt.get(lit) ?? []), at]);
  });
  return socket;
}
