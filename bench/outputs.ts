import { chromium, type Page } from "@playwright/test";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { distributionOf, printRow } from "./distribution.ts";
import { few } from "./few.ts";

const CUTS = few(60, 6);
const BETWEEN_MS = 450;

/** What a window notes by itself: wall-clock times, comparable between processes of one machine. */
interface Notes {
  placed: number[];
  frames: { at: number; moving: boolean }[];
}

/**
 * Real windows: from the key press on the desk to the first frame that places the new page (a cut, preloaded), the
 * spread between windows, and the pacing of frames while pages move.
 */
export async function benchOutputs(outputCount: number): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS });
  const outputs: Page[] = [];
  for (let i = 0; i < outputCount; i++) {
    const context = await browser.newContext({ viewport: { width: 1920, height: 1080 } });
    const page = await context.newPage();
    await page.goto(show.outputLink(i % 2));
    await page.waitForSelector("main[data-ready=yes]");
    // The TypeScript loader names functions by a helper that pages do not have.
    await page.evaluate("globalThis.__name = (f) => f");
    await page.evaluate(takeNotes);
    outputs.push(page);
  }
  // A small desk: its own pictures cost as little as may be.
  const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await desk.goto(`${show.base}/run`);
  await desk.getByText("connected", { exact: true }).waitFor();
  await desk.evaluate("globalThis.__name = (f) => f");
  await desk.evaluate(() => {
    const pressed: number[] = [];
    Object.assign(window, { pressed });
    window.addEventListener("keydown", () => pressed.push(performance.timeOrigin + performance.now()), true);
  });

  // To the first song, so that each cut changes words on every output in turn.
  for (let i = 0; i < 4; i++) {
    await desk.keyboard.press("x");
    await desk.waitForTimeout(BETWEEN_MS);
  }
  for (let i = 0; i < CUTS; i++) {
    await desk.keyboard.press(i % 12 === 11 ? "ArrowUp" : "x");
    await desk.waitForTimeout(BETWEEN_MS);
  }
  const pressed = await desk.evaluate(() => (window as unknown as { pressed: number[] }).pressed);
  const noted = await Promise.all(outputs.map(readNotes));
  const latencies: number[] = [];
  const spreads: number[] = [];
  for (const at of pressed.slice(4)) {
    const placed = noted.flatMap(
      ({ placed: times }) => times.find((t) => t >= at && t < at + BETWEEN_MS * 0.9) ?? [],
    );
    latencies.push(...placed.map((t) => t - at));
    if (placed.length === outputCount) spreads.push(Math.max(...placed) - Math.min(...placed));
  }
  printRow(
    `key press → page placed, cut, preloaded, ${outputCount} outputs`,
    "ms",
    distributionOf(latencies),
    "p95 under 50, p99 under 80",
  );
  printRow(
    `spread between ${outputCount} outputs on the same take`,
    "ms",
    distributionOf(spreads),
    "p95 under 16.7",
  );

  // Animated takes, one a second: only frames while something moves count.
  for (const page of outputs) await page.evaluate(takeNotes);
  await desk.keyboard.press("ArrowLeft");
  for (let i = 0; i < 20; i++) {
    await desk.keyboard.press("Space");
    await desk.waitForTimeout(900);
  }
  const moving = await readNotes(outputs[0] as Page);
  const intervals: number[] = [];
  for (const [i, frame] of moving.frames.entries()) {
    const before = moving.frames[i - 1];
    if (before?.moving && frame.moving) intervals.push(frame.at - before.at);
  }
  const missed = intervals.reduce((sum, ms) => sum + Math.max(0, Math.round(ms / (1000 / 60)) - 1), 0);
  printRow(
    `frame interval while moving, 1080p, ${outputCount} outputs open`,
    "ms",
    distributionOf(intervals),
    "16.7",
  );
  console.log(
    `| frames missed while moving, ${outputCount} outputs open | % | ${intervals.length} | ${((100 * missed) / (missed + intervals.length)).toFixed(1)} |  |  |  | under 1 |`,
  );
  await browser.close();
  await show.stop();
}

function takeNotes(): void {
  const notes: Notes = { placed: [], frames: [] };
  const holder = window as unknown as { notes: Notes; watching?: boolean };
  holder.notes = notes;
  if (holder.watching) return;
  holder.watching = true;
  const main = document.querySelector("main");
  if (!main) throw new Error("no picture");
  const now = () => performance.timeOrigin + performance.now();
  new MutationObserver((records) => {
    if (records.some(({ addedNodes }) => addedNodes.length > 0)) holder.notes.placed.push(now());
  }).observe(main, { childList: true, subtree: true });
  const frame = () => {
    holder.notes.frames.push({ at: now(), moving: main.dataset.moving === "yes" });
    requestAnimationFrame(frame);
  };
  frame();
}

const readNotes = (page: Page): Promise<Notes> =>
  page.evaluate(() => (window as unknown as { notes: Notes }).notes);
