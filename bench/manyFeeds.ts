import { readFileSync, statSync } from "node:fs";
import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { bindingSchema } from "../core/feeds/binding.ts";
import { feedDocSchema } from "../core/feeds/feed.ts";
import { pageCue } from "../core/rundown/cueDoc.ts";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { deskToken } from "../test-support/deskPage.ts";
import { openShow } from "../test-support/openShow.ts";
import { Client, until } from "./client.ts";
import { printValue } from "./distribution.ts";
import { few } from "./few.ts";
import { heapMiB } from "./heapMiB.ts";
import { residentMiB } from "./residentMiB.ts";

const FEEDS = few(20, 3);
const EVERY_MS = 100;
const ROWS = 30;
const MINUTES = 10;
const MINUTE_MS = few(60_000, 240);
const SAMPLE_MS = few(5_000, 20);
const HEAP_AT_MINUTES = [2, 6, MINUTES];
const SAMPLES_PER_MINUTE = MINUTE_MS / SAMPLE_MS;

/** Twenty addresses that are asked ten times a second and answer otherwise each time, with a page on each and a desk open: memory. */
export async function benchManyFeeds(): Promise<void> {
  let asked = 0;
  const source = createServer((_request, response) => {
    asked++;
    const rows = Array.from({ length: ROWS }, (_, i) => `Street ${i},${asked + i}`);
    response.writeHead(200, { "Content-Type": "text/csv" }).end(["street,lit", ...rows, ""].join("\n"));
  });
  await new Promise<void>((resolve) => source.listen(0, "127.0.0.1", resolve));
  const host = `127.0.0.1:${(source.address() as AddressInfo).port}`;
  const show = new RunningShow(true, {
    args: ["--feed-host", host],
    env: { NODE_OPTIONS: "--inspect=127.0.0.1:0" },
    isQuiet: true,
  });
  await fill(show, host);
  await show.start();
  const desk = new Client(show.base, await deskToken(show.base), "bench-many-feeds");
  await until(() => desk.welcomes === 1);
  const [askedFrom, workedFrom, from] = [asked, workedMs(show.processId), performance.now()];
  const inspector = /ws:\/\/\S+/.exec(show.said)?.[0] ?? "";
  const samples: number[] = [];
  const heaps: number[] = [];
  while (samples.length < MINUTES * SAMPLES_PER_MINUTE) {
    await new Promise((resolve) => setTimeout(resolve, SAMPLE_MS));
    samples.push(residentMiB(show.processId));
    if (HEAP_AT_MINUTES.includes(samples.length / SAMPLES_PER_MINUTE)) heaps.push(await heapMiB(inspector));
  }
  const ms = performance.now() - from;
  const minute = (number: number) =>
    [...samples.slice((number - 1) * SAMPLES_PER_MINUTE, number * SAMPLES_PER_MINUTE)].sort((a, b) => a - b)[
      SAMPLES_PER_MINUTE / 2
    ] as number;
  const what = `${FEEDS} feeds asked every ${EVERY_MS} ms for ${MINUTES} minutes`;
  printValue(
    `${what}: answers taken in`,
    "in a second",
    (asked - askedFrom) / (ms / 1_000),
    `${(FEEDS * 1_000) / EVERY_MS}`,
  );
  printValue(
    "… the server's work",
    "% of one core",
    (100 * (workedMs(show.processId) - workedFrom)) / ms,
    "",
  );
  for (const number of [1, 2, 5, MINUTES])
    printValue(`… resident, middle of minute ${number}`, "MiB", minute(number), "");
  for (const [i, heap] of heaps.entries())
    printValue(`… heap after a collection, minute ${HEAP_AT_MINUTES[i]}`, "MiB", heap, "");
  printValue(
    "… growth of it from the first to the last",
    "%",
    ((heaps.at(-1) as number) / (heaps[0] as number) - 1) * 100,
    "flat",
  );
  printValue("… the database at the end", "MiB", statSync(show.databaseFile).size / 2 ** 20, "");
  desk.end();
  await show.stop();
  source.close();
}

async function fill(show: RunningShow, host: string): Promise<void> {
  const { services, close } = await openShow(show.databaseFile, { feedHosts: [host] });
  for (let i = 0; i < FEEDS; i++) {
    const id = `bench-feed-${i}`;
    const source = { kind: "address", url: `http://${host}/${i}.csv`, everyMs: EVERY_MS } as const;
    const problem = await services.feeds.save(
      id,
      0,
      feedDocSchema.parse({ name: id, source, format: { kind: "csv" }, keyColumn: "street" }),
    );
    if (problem !== undefined) throw new Error(problem);
    const role = bindingSchema.parse({
      ...{ kind: "cell", feedId: id, text: "{lit} in {street}" },
      row: { by: "rank", column: "lit", down: true, rank: 1 },
    });
    await services.rundown.edit(
      "bench-person",
      {
        kind: "addCue",
        cueId: id,
        afterId: services.rundown.views().at(-1)?.cueId ?? null,
        doc: pageCue({ fieldSet: "name", values: { name: id, role: "" }, bindings: { role } }),
      },
      1,
    );
  }
  await close();
}

/** What a process has had of a core, ms. */
function workedMs(processId: number): number {
  const fields = readFileSync(`/proc/${processId}/stat`, "utf8").split(") ")[1]?.split(" ") ?? [];
  // User and system time, in ticks of 10 ms.
  return (Number(fields[11]) + Number(fields[12])) * 10;
}
