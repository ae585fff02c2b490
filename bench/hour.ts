import { existsSync, readdirSync, statSync } from "node:fs";
import { setTimeout as wait } from "node:timers/promises";
import { chromium, type Page } from "@playwright/test";
import { mulberry } from "../test-support/random.ts";
import { Evening } from "../tools/faults/evening.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { printValue } from "./distribution.ts";
import { few } from "./few.ts";
import { residentMiB } from "./residentMiB.ts";

/** Length of it, and how often is looked, ms. */
const LENGTH_MS = few(60 * 60_000, 12_000);
const LOOK_EVERY_MS = few(15_000, 1_000);
/** What comes before is the warming up. */
const WARM_PART = 1 / 6;

interface Look {
  readonly serverMiB: number;
  readonly handles: number;
  readonly walMiB: number;
  readonly logMiB: number;
  readonly deskMiB: number;
  readonly outputMiB: number;
}

/**
 * An hour in real time with everything on: takes, edits, a phone, feeds of which a fifth are rubbish, a mixer that cuts by itself, clips, and
 * in a browser a desk and two outputs. What must not grow is looked at all the while.
 */
export async function benchHour(): Promise<void> {
  const evening = await Evening.open(mulberry(7));
  if (!evening) throw new Error("There is no C compiler for the evening's machine");
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS });
  try {
    const { show } = evening;
    const open = async (address: string) => {
      const page = await (await browser.newContext({ viewport: { width: 1280, height: 720 } })).newPage();
      await page.goto(address);
      return page;
    };
    const desk = await open(`${show.base}/run`);
    const outputs = [await open(show.outputLink(0)), await open(show.outputLink(1))];
    const looks: Look[] = [];
    const untilMs = performance.now() + LENGTH_MS;
    while (performance.now() < untilMs) {
      await wait(LOOK_EVERY_MS);
      looks.push({
        serverMiB: residentMiB(show.processId),
        handles: readdirSync(`/proc/${show.processId}/fd`).length,
        walMiB: sizeMiB(`${show.databaseFile}-wal`),
        logMiB: sizeMiB(`${show.databaseFile}.log`),
        deskMiB: await heapOf(desk),
        outputMiB: Math.max(...(await Promise.all(outputs.map(heapOf)))),
      });
    }
    const what = `${Math.round(LENGTH_MS / 60_000)} minutes with everything on, ${evening.pressed} presses`;
    printValue(`${what}: acts that were acknowledged as takes`, "", evening.acknowledged.takes.length, "");
    const warm = looks.slice(Math.floor(looks.length * WARM_PART));
    for (const [key, name, unit] of MEASURES) {
      const values = warm.map((look) => look[key]);
      const third = Math.max(1, Math.floor(values.length / 3));
      printValue(`… ${name}: first third`, unit, median(values.slice(0, third)), "");
      printValue(`… ${name}: last third`, unit, median(values.slice(-third)), "flat within 5 %");
    }
    printValue(
      "… write-ahead log, largest",
      "MiB",
      Math.max(...looks.map(({ walMiB }) => walMiB)),
      "under 16",
    );
  } finally {
    await browser.close();
    await evening.close();
  }
}

const MEASURES = [
  ["serverMiB", "server, resident", "MiB"],
  ["handles", "server, open files", ""],
  ["logMiB", "server, newest file of the log", "MiB"],
  ["deskMiB", "desk, heap", "MiB"],
  ["outputMiB", "the larger output, heap", "MiB"],
] as const satisfies readonly (readonly [keyof Look, string, string])[];

const sizeMiB = (path: string): number => (existsSync(path) ? statSync(path).size / 2 ** 20 : 0);

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN;

/** After a collection. */
async function heapOf(page: Page): Promise<number> {
  const cdp = await page.context().newCDPSession(page);
  try {
    await cdp.send("HeapProfiler.collectGarbage");
    const { usedSize } = await cdp.send("Runtime.getHeapUsage");
    return usedSize / 2 ** 20;
  } finally {
    await cdp.detach();
  }
}
