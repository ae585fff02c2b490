import { chromium, type Page } from "@playwright/test";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { arm } from "../e2e/support/show.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { distributionOf, printRow, printValue } from "./distribution.ts";
import { few } from "./few.ts";

const SECONDS = few(12, 2);
/** Cues of the demo: moving backdrop, picture layer's clock, song, strap, crawl, corner. */
const SIX_LAYERS = ["cue-0019", "cue-0026", "cue-0005", "cue-0014", "cue-0002"];

interface FrameNotes {
  frames: number[];
  strap: number[];
}

/**
 * One output alone with all six layers busy: a clip behind, a slide with shadows, a strap coming and going, a crawl, a
 * clock, the corner mark. No desk window is open while it is measured.
 */
export async function benchBusyOutput(widthPx: number, heightPx: number): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS });
  const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await desk.goto(`${show.base}/run`);
  await desk.getByText("connected", { exact: true }).waitFor();
  for (const cue of SIX_LAYERS) {
    await arm(desk, desk.locator(`[data-step^="${cue}/"]`).first());
    await desk.keyboard.press("x");
    await desk.locator(`[data-step^="${cue}/"][data-mark=air]`).first().waitFor();
  }
  // The strap comes while the output is watched.
  await arm(desk, desk.locator(`[data-step^="cue-0004/"]`).first());
  const output = await (
    await browser.newContext({ viewport: { width: widthPx, height: heightPx } })
  ).newPage();
  await output.goto(show.outputLink(0));
  await output.waitForSelector("main[data-ready=yes]");
  await output.waitForTimeout(2_500);
  await desk.keyboard.press("Space");
  await desk.close();
  const notes = await watch(output);
  const intervals = notes.frames.slice(1).map((at, i) => at - (notes.frames[i] as number));
  const missed = intervals.reduce((sum, ms) => sum + Math.max(0, Math.round(ms / (1000 / 60)) - 1), 0);
  const what = `six busy layers, one output ${widthPx}×${heightPx}, no desk`;
  printRow(`${what}: frame interval`, "ms", distributionOf(intervals), "16.7");
  printValue(`${what}: frames missed`, "%", (100 * missed) / (missed + intervals.length), "under 1");
  printRow(`${what}: script for a frame`, "ms", distributionOf(notes.strap), "under 6");
  const reports = await output.evaluate(() => {
    const canvases = [...document.querySelectorAll("canvas")];
    return canvases.reduce((sum, { width, height }) => sum + width * height * 4, 0) / 2 ** 20;
  });
  printValue(`${what}: plates on screen`, "MiB", reports, "idle ones are dropped above 160 MiB");
  await browser.close();
  await show.stop();
}

async function watch(page: Page): Promise<FrameNotes> {
  await page.evaluate("globalThis.__name = (f) => f");
  return page.evaluate(async (seconds) => {
    const notes = { frames: [] as number[], strap: [] as number[] };
    // The loop's own callbacks are timed from outside, by what each of them takes.
    const request = window.requestAnimationFrame.bind(window);
    window.requestAnimationFrame = (callback) =>
      request((at) => {
        const from = performance.now();
        callback(at);
        notes.strap.push(performance.now() - from);
      });
    const until = performance.now() + seconds * 1_000;
    await new Promise<void>((resolve) => {
      const frame = (at: number) => {
        notes.frames.push(at);
        if (performance.now() < until) request(frame);
        else resolve();
      };
      request(frame);
    });
    return notes;
  }, SECONDS);
}
