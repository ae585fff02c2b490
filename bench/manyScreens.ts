import { readdirSync, readFileSync } from "node:fs";
import { chromium } from "@playwright/test";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { arm } from "../e2e/support/show.ts";
import { deskToken } from "../test-support/deskPage.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { Client, until } from "./client.ts";
import { distributionOf, printRow, printValue } from "./distribution.ts";
import { few } from "./few.ts";

const CLIENTS = few(200, 10);
const TAKES = few(60, 5);
const BETWEEN_MS = 120;
const STATIC_WINDOWS = few(12, 2);
const WATCHED_S = few(10, 1);
/** Linux counts processor time in hundredths. */
const TICK_MS = 10;

/** 200 windows on one show: how long a take needs to reach all, and how long a restart takes to be over. */
export async function benchClients(): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const tokens = [0, 1, 2, 3, 4].map((i) => show.outputLink(i).split("/").at(-1) as string);
  const clients = Array.from(
    { length: CLIENTS },
    (_, i) => new Client(show.base, tokens[i % tokens.length] as string, `bench-client-${i}`),
  );
  const desk = new Client(show.base, await deskToken(show.base), "bench-client-desk");
  const all = [...clients, desk];
  await until(() => all.every(({ welcomes }) => welcomes === 1) && desk.next !== undefined);
  const samples: number[] = [];
  for (let i = 0; i < TAKES; i++) {
    const seq = desk.seq;
    const sentAt = performance.now();
    desk.say({
      kind: "command",
      command: {
        kind: "take",
        id: `bench-take-${i}`,
        how: "cut",
        target: desk.next,
        builtOn: desk.airRevision,
      },
    });
    await until(() => all.every((client) => client.seq > seq));
    for (const client of clients) samples.push((client.heardAt.get(seq + 1) ?? Number.NaN) - sentAt);
    await new Promise((resolve) => setTimeout(resolve, BETWEEN_MS));
  }
  printRow(
    `a take sent → heard by each of ${CLIENTS} windows`,
    "ms",
    distributionOf(samples),
    "p99 under 50",
  );

  const { seq } = desk;
  await show.kill();
  await show.start();
  const from = performance.now();
  await until(() => all.every(({ welcomes }) => welcomes === 2));
  printValue(
    `server back → ${CLIENTS} windows have the same air again`,
    "ms",
    performance.now() - from,
    "under 2000",
  );
  if (all.some((client) => client.seq !== seq)) throw new Error("a window came back to another air");
  for (const client of all) client.end();
  await show.stop();
}

/** Twelve windows that show one slide at rest: what they cost. */
export async function benchStaticWindows(): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  const server = await chromium.launchServer({ executablePath, args: BROWSER_ARGS });
  const browser = await chromium.connect(server.wsEndpoint());
  const desk = await (await browser.newContext()).newPage();
  await desk.goto(`${show.base}/run`);
  await desk.getByText("connected", { exact: true }).waitFor();
  await arm(desk, desk.locator('[data-step^="cue-0005/V1"]').first());
  await desk.keyboard.press("Space");
  await desk.locator("[data-mark=air]").waitFor();
  await desk.close();
  for (let i = 0; i < STATIC_WINDOWS; i++) {
    const page = await (await browser.newContext({ viewport: { width: 1920, height: 1080 } })).newPage();
    await page.goto(show.outputLink(i % 2));
    await page.waitForSelector("main[data-ready=yes][data-moving=no]");
  }
  await new Promise((resolve) => setTimeout(resolve, 3_000));
  const before = cpuMs(server.process().pid);
  await new Promise((resolve) => setTimeout(resolve, WATCHED_S * 1_000));
  const spent = cpuMs(server.process().pid) - before;
  printValue(
    `${STATIC_WINDOWS} windows 1920×1080 with one slide at rest: processor time`,
    "% of a core",
    (100 * spent) / (WATCHED_S * 1_000),
    "almost nothing",
  );
  await browser.close();
  await server.close();
  await show.stop();
}

/** Processor time of a process and all that it started, ms. */
function cpuMs(root: number | undefined): number {
  const parents = new Map<number, number>();
  const times = new Map<number, number>();
  for (const name of readdirSync("/proc")) {
    if (!/^\d+$/.test(name)) continue;
    try {
      const stat = readFileSync(`/proc/${name}/stat`, "utf8");
      const fields = stat.slice(stat.lastIndexOf(")") + 2).split(" ");
      parents.set(Number(name), Number(fields[1]));
      times.set(Number(name), (Number(fields[11]) + Number(fields[12])) * TICK_MS);
    } catch {
      // It ended while it was looked at.
    }
  }
  const isOurs = (pid: number | undefined): boolean =>
    pid !== undefined && pid !== 0 && (pid === root || isOurs(parents.get(pid)));
  return [...times].reduce((sum, [pid, ms]) => sum + (isOurs(pid) ? ms : 0), 0);
}
