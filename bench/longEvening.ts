import { type CDPSession, chromium, type Page } from "@playwright/test";
import { WebSocket } from "ws";
import { pageCue, songCue } from "../core/rundown/cueDoc.ts";
import type { ServerMessage } from "../core/wire/wire.ts";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { openShow } from "../test-support/openShow.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { distributionOf, printRow, printValue } from "./distribution.ts";
import { few } from "./few.ts";
import { madeUpSongs } from "./madeUpSongs.ts";
import { residentMiB } from "./residentMiB.ts";

const CUES = few(2_000, 60);
const SONGS = few(10_000, 100);
/** Twice as many takes end within the first song and reading of the demo. */
const PRESSES = few(20, 3);
const EVERY_MS = 400;
const TAKES = few(5_000, 120);
const TAKES_ALONE = few(800, 40);
/** Below the most a desk may send in a second. */
const TAKE_EVERY_MS = 25;
const KEPT_OF_TAKES = [few(1_000, 40), few(3_000, 80), TAKES];

/** A rundown of 2 000 cues over five outputs, a library of 10 000 songs, and 5 000 takes: keys, React, scrolling, memory. */
export async function benchLongEvening(): Promise<void> {
  const demo = new RunningShow(true);
  await demo.start();
  const few = await measureDesk(demo, "32 cues");
  await demo.stop();
  const show = new RunningShow(true);
  const deskToken = await fill(show.databaseFile);
  await show.start();
  const many = await measureDesk(show, "2 000 cues, 10 000 songs");
  printValue("ratio: the desk's work for a take, 2 000 cues / 32", "×", many / few, "");
  await measureTakes(show, deskToken);
  await measureMemory(show, deskToken);
  await show.stop();
}

/** @returns the link of its desk */
async function fill(databaseFile: string): Promise<string> {
  const { services, close } = await openShow(databaseFile);
  const { songs } = madeUpSongs(SONGS, 6);
  await services.songs.addAll(songs, "bench-person", 1);
  const here = services.rundown.views().length;
  const docs = Array.from({ length: CUES - here }, (_, i) =>
    i % 3 === 0
      ? pageCue({ fieldSet: "name", values: { name: `Person ${i}`, role: "of the bench" } })
      : songCue({ ...(songs[i] as (typeof songs)[number]).song }),
  );
  for (let from = 0; from < docs.length; from += 500)
    await services.rundown.edit(
      "bench-person",
      {
        kind: "addCues",
        cues: docs.slice(from, from + 500).map((doc, i) => ({ cueId: `bench-cue-${from + i}`, doc })),
        afterId: services.rundown.views().at(-1)?.cueId ?? null,
      },
      1,
    );
  const { deskToken } = services.links;
  await close();
  return deskToken;
}

async function openBrowser() {
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  return chromium.launch({ executablePath, args: BROWSER_ARGS });
}

/** @returns the desk's script, style and layout for one take, ms */
async function measureDesk(show: RunningShow, what: string): Promise<number> {
  const browser = await openBrowser();
  const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  const began = performance.now();
  await desk.goto(`${show.base}/run`);
  await desk.getByText("connected", { exact: true }).waitFor();
  printValue(`run view, ${what}: opened → connected`, "ms", performance.now() - began, "");
  await desk.locator("canvas, [data-stage]").first().waitFor({ state: "attached" });
  await desk.waitForTimeout(3_000);
  // The loader names functions by a helper that pages do not have.
  await desk.evaluate("globalThis.__name = (f) => f");
  await desk.evaluate(watchKeys);
  // The same cues at the start of both rundowns: what a take shows costs the same.
  await measureKey(desk, what, "a take", "Space");
  const cdp = await desk.context().newCDPSession(desk);
  await cdp.send("Performance.enable");
  const before = await work(cdp);
  await press(desk, "Space");
  const after = await work(cdp);
  await desk.waitForTimeout(1_000);
  const idleFrom = await work(cdp);
  await desk.waitForTimeout(PRESSES * EVERY_MS);
  const perTake = (after - before - ((await work(cdp)) - idleFrom)) / PRESSES;
  printValue(`${what}: the desk's script, style and layout for one take`, "ms", perTake, "");
  await measureKey(desk, what, "arming the step after", "ArrowDown");
  await measureScrolling(desk, what);
  await browser.close();
  return perTake;
}

async function press(desk: Page, key: string): Promise<void> {
  for (let i = 0; i < PRESSES; i++) {
    await desk.keyboard.press(key);
    await desk.waitForTimeout(EVERY_MS);
  }
}

async function measureKey(desk: Page, what: string, name: string, key: string): Promise<void> {
  await desk.evaluate("window.keySamples.length = 0");
  await press(desk, key);
  const samples = (await desk.evaluate("window.keySamples")) as { ms: number; frames: number }[];
  printRow(
    `${what}, key → the mark stands in the script, ${name}`,
    "ms",
    distributionOf(samples.map(({ ms }) => ms)),
    "",
  );
  printRow("… frames drawn by then", "frames", distributionOf(samples.map(({ frames }) => frames)), "2");
}

/** Notes for every key how long it takes, and how many frames, until a mark of the script stands on another step. */
function watchKeys(): void {
  const samples: { ms: number; frames: number }[] = [];
  Object.assign(window, { keySamples: samples });
  const marks = () =>
    [...document.querySelectorAll("[data-mark]")]
      .map((step) => `${step.getAttribute("data-mark")} ${step.getAttribute("data-step")}`)
      .join();
  window.addEventListener(
    "keydown",
    (event) => {
      const before = marks();
      const from = event.timeStamp;
      let frames = 0;
      const look = () => {
        frames++;
        if (marks() !== before) samples.push({ ms: performance.now() - from, frames });
        else if (frames < 60) requestAnimationFrame(look);
      };
      requestAnimationFrame(look);
    },
    true,
  );
}

async function work(cdp: CDPSession): Promise<number> {
  const { metrics } = await cdp.send("Performance.getMetrics");
  const wanted = ["ScriptDuration", "LayoutDuration", "RecalcStyleDuration"];
  return metrics.reduce((sum, { name, value }) => (wanted.includes(name) ? sum + value * 1_000 : sum), 0);
}

async function measureScrolling(desk: Page, what: string): Promise<void> {
  await desk.getByRole("main", { name: "Script" }).hover();
  await desk.evaluate(() => {
    const intervals: number[] = [];
    Object.assign(window, { frameIntervals: intervals });
    let last = performance.now();
    const tick = (now: number) => {
      intervals.push(now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  for (let i = 0; i < 80; i++) {
    await desk.mouse.wheel(0, i < 40 ? 900 : -700);
    await desk.waitForTimeout(30);
  }
  const intervals = (await desk.evaluate("window.frameIntervals")) as number[];
  printRow(
    `script of ${what}, scrolled fast: frame interval`,
    "ms",
    distributionOf(intervals.slice(2)),
    "16.7",
  );
  const nodes = (await desk.evaluate("document.querySelectorAll('*').length")) as number;
  printValue(`… elements in the page`, "elements", nodes, "");
}

/** Takes of a desk without a window, while nothing is drawn on this machine. */
async function measureTakes(show: RunningShow, deskToken: string): Promise<void> {
  const taker = await Taker.join(show.base, deskToken);
  const answered: number[] = [];
  for (let i = 0; i < TAKES_ALONE; i++) {
    const from = performance.now();
    await taker.take();
    answered.push(performance.now() - from);
    await new Promise((resolve) => setTimeout(resolve, TAKE_EVERY_MS));
  }
  printRow("2 000 cues, no windows: a take sent → answered", "ms", distributionOf(answered), "");
  taker.end();
}

/** 5 000 takes, one after another, with a desk and an output open: what each of them holds. */
async function measureMemory(show: RunningShow, deskToken: string): Promise<void> {
  const browser = await openBrowser();
  const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  const screen = await (await browser.newContext({ viewport: { width: 960, height: 540 } })).newPage();
  await screen.goto(show.outputLink(0));
  await desk.goto(`${show.base}/run`);
  await desk.getByText("connected", { exact: true }).waitFor();
  const taker = await Taker.join(show.base, deskToken);
  const sessions = await Promise.all([desk, screen].map((page) => page.context().newCDPSession(page)));
  const held = async () => {
    const heaps = [];
    for (const session of sessions) {
      await session.send("HeapProfiler.collectGarbage");
      heaps.push((await session.send("Runtime.getHeapUsage")).usedSize / 2 ** 20);
    }
    return [residentMiB(show.processId), ...heaps] as [number, number, number];
  };
  const samples: [number, number, number][] = [];
  const answered: number[] = [];
  for (let i = 1; i <= TAKES; i++) {
    const from = performance.now();
    await taker.take();
    answered.push(performance.now() - from);
    await new Promise((resolve) => setTimeout(resolve, TAKE_EVERY_MS));
    if (KEPT_OF_TAKES.includes(i)) {
      await desk.waitForTimeout(3_000);
      samples.push(await held());
    }
  }
  for (const [at, who] of ["server, resident", "desk, heap", "output, heap"].entries()) {
    const figures = samples.map((sample) => sample[at] as number);
    for (const [i, figure] of figures.entries())
      printValue(`after ${KEPT_OF_TAKES[i]?.toLocaleString("en")} takes: ${who}`, "MiB", figure, "");
    const growth = ((figures.at(-1) as number) / (figures[0] as number) - 1) * 100;
    printValue(`… growth from the first 1 000`, "%", growth, "within 5");
  }
  printRow("5 000 takes without a pause: sent → answered", "ms", distributionOf(answered), "");
  taker.end();
  await browser.close();
}

/** A desk without a window that takes what is next. */
class Taker {
  readonly #socket: WebSocket;
  #next: unknown;
  #airRevision = 0;
  #count = 0;
  #answered: (() => void) | undefined;
  readonly #pinging: ReturnType<typeof setInterval>;

  private constructor(base: string) {
    this.#socket = new WebSocket(`${base.replace("http", "ws")}/live`);
    this.#pinging = setInterval(() => this.#say({ kind: "ping", sentAtMs: 0 }), 2_000);
    this.#socket.on("message", (data) => {
      const message = JSON.parse(String(data)) as ServerMessage;
      if (message.kind === "welcome") this.#airRevision = message.state.airRevision;
      if (message.kind === "event" && ["taken", "acted", "planSwitched"].includes(message.logged.event.kind))
        this.#airRevision++;
      if (message.kind === "preload") this.#next = message.targets[0];
      if (message.kind === "answer") {
        if (message.refused) throw new Error(`take ${this.#count} was refused: ${message.refused}`);
        this.#answered?.();
      }
    });
  }

  static async join(base: string, token: string): Promise<Taker> {
    const taker = new Taker(base);
    await new Promise((resolve) => taker.#socket.on("open", resolve));
    taker.#say({ kind: "hello", token, windowId: "taker-of-the-bench" });
    await new Promise<void>((resolve) => {
      const timer = setInterval(() => {
        if (taker.#next === undefined) return;
        clearInterval(timer);
        resolve();
      }, 20);
    });
    return taker;
  }

  take(): Promise<void> {
    const id = `bench-take-${++this.#count}`;
    const target = this.#next;
    return new Promise((resolve) => {
      this.#answered = resolve;
      this.#say({
        kind: "command",
        command: { kind: "take", id, target, how: "cut", builtOn: this.#airRevision },
      });
    });
  }

  end(): void {
    clearInterval(this.#pinging);
    this.#socket.terminate();
  }

  #say(message: unknown): void {
    if (this.#socket.readyState === WebSocket.OPEN) this.#socket.send(JSON.stringify(message));
  }
}
