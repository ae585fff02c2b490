import { type CDPSession, chromium, type Page } from "@playwright/test";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { deskToken } from "../test-support/deskPage.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { Client, until } from "./client.ts";
import { distributionOf, printRow, printValue } from "./distribution.ts";
import { few } from "./few.ts";

const TAKES = few(24, 2);
const BETWEEN_MS = 1_400;

interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly pid: number;
  readonly tid: number;
  readonly ts: number;
  readonly dur?: number;
  readonly args?: { readonly name?: string };
}

/**
 * Two 1080p outputs and no desk: animated takes every 1.4 s, sent by a client without a picture. The tasks of each window's own
 * thread come from the browser's trace, frames from the window itself.
 */
export async function benchWindowTasks(): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS });
  const outputs: Page[] = [];
  for (let i = 0; i < 2; i++) {
    const page = await (await browser.newContext({ viewport: { width: 1920, height: 1080 } })).newPage();
    await page.goto(show.outputLink(i));
    await page.waitForSelector("main[data-ready=yes]");
    await page.evaluate("globalThis.__name = (f) => f");
    outputs.push(page);
  }
  const client = new Client(show.base, await deskToken(show.base), "bench-window-tasks");
  await until(() => client.welcomes === 1 && client.next !== undefined);
  // To the song, past what comes before it.
  for (let i = 0; i < 6; i++) await take(client, i);
  await wait(3_000);
  for (const page of outputs) await page.evaluate(watchFrames);
  const session = await browser.newBrowserCDPSession();
  const events = await traced(session, async () => {
    for (let i = 0; i < TAKES; i++) await take(client, 6 + i);
  });
  const tasks = mainThreadTasks(events);
  printRow(
    "tasks of an output's own thread, two outputs, a take each 1.4 s",
    "ms",
    distributionOf(tasks),
    "none over 30",
  );
  const frames = await Promise.all(
    outputs.map((page) => page.evaluate(() => (window as unknown as { moving: number[] }).moving)),
  );
  const intervals = frames.flat();
  const missed = intervals.reduce((sum, ms) => sum + Math.max(0, Math.round(ms / (1_000 / 60)) - 1), 0);
  printValue(
    "frames missed while moving, two outputs, no desk",
    "%",
    (100 * missed) / (missed + intervals.length),
    "under 2",
  );
  const moving = await Promise.all(
    outputs.map((page) => page.evaluate(() => (window as unknown as { late: number[] }).late)),
  );
  printRow("the longest between two frames of one motion", "ms", distributionOf(moving.flat()), "16.7");
  client.end();
  await browser.close();
  await show.stop();
}

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

async function take(client: Client, i: number): Promise<void> {
  const target = client.next;
  if (!target) throw new Error("nothing is next");
  client.say({
    kind: "command",
    command: { kind: "take", id: `bench-take-${i}`, target, how: "animated", builtOn: client.airRevision },
  });
  await wait(BETWEEN_MS);
}

/** Notes the intervals between frames while the output says that something moves, and the longest of each motion. */
function watchFrames(): void {
  const holder = window as unknown as { moving: number[]; late: number[] };
  holder.moving = [];
  holder.late = [];
  const main = document.querySelector("main") as HTMLElement;
  let before: number | undefined;
  let longest = 0;
  const frame = (at: number) => {
    const isMoving = main.dataset.moving === "yes";
    if (isMoving && before !== undefined) {
      holder.moving.push(at - before);
      longest = Math.max(longest, at - before);
    } else if (longest > 0) {
      holder.late.push(longest);
      longest = 0;
    }
    before = isMoving ? at : undefined;
    requestAnimationFrame(frame);
  };
  requestAnimationFrame(frame);
}

async function traced(session: CDPSession, run: () => Promise<void>): Promise<TraceEvent[]> {
  const events: TraceEvent[] = [];
  session.on("Tracing.dataCollected", ({ value }) => events.push(...(value as unknown as TraceEvent[])));
  await session.send("Tracing.start", {
    traceConfig: {
      includedCategories: ["toplevel", "disabled-by-default-lifecycles", "__metadata"],
      excludedCategories: ["*"],
    },
  });
  await run();
  const complete = new Promise((resolve) => session.once("Tracing.tracingComplete", resolve));
  await session.send("Tracing.end");
  await complete;
  return events;
}

/** Lengths of the tasks of all pages' own threads, ms. */
function mainThreadTasks(events: readonly TraceEvent[]): number[] {
  const mains = new Set(
    events
      .filter(({ name, args }) => name === "thread_name" && args?.name === "CrRendererMain")
      .map(({ pid, tid }) => `${pid}/${tid}`),
  );
  return events.flatMap(({ name, ph, pid, tid, dur }) =>
    ph === "X" && name === "ThreadControllerImpl::RunTask" && mains.has(`${pid}/${tid}`) && dur !== undefined
      ? [dur / 1_000]
      : [],
  );
}
