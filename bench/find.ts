import { chromium } from "@playwright/test";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { distributionOf, printRow } from "./distribution.ts";
import { few } from "./few.ts";

const QUERIES = [
  "ps 23",
  "jn 3:16",
  "still waters",
  "harbour kind",
  "lamp",
  "salmo 107",
  "go to run",
  "nine bells",
];
const ROUNDS = few(6, 1);

/** From the press of a key in Find to the first frame that shows a result for what is typed by then. */
export async function benchFind(): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS });
  const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await desk.goto(`${show.base}/run`);
  await desk.getByText("connected", { exact: true }).waitFor();
  await desk.evaluate("globalThis.__name = (f) => f");
  await desk.evaluate(() => {
    const samples: number[] = [];
    let latest = 0;
    Object.assign(window, { samples });
    window.addEventListener(
      "keydown",
      (event) => {
        if (event.key.length !== 1) return;
        const at = performance.now();
        const own = ++latest;
        // A frame after the key, whether results stand there that were not there before it.
        const before = document.querySelector("[role=listbox]")?.textContent ?? "";
        let frames = 0;
        const look = () => {
          // What a later key finds is not this one's.
          if (own !== latest) return;
          const now = document.querySelector("[role=listbox]")?.textContent ?? "";
          const has = document.querySelector("[role=option]") !== null;
          if (has && now !== before) samples.push(performance.now() - at);
          else if (++frames < 30) requestAnimationFrame(look);
        };
        requestAnimationFrame(look);
      },
      true,
    );
  });
  for (let round = 0; round < ROUNDS; round++)
    for (const query of QUERIES) {
      await desk.keyboard.press("f");
      await desk.keyboard.type(query, { delay: 120 });
      await desk.waitForTimeout(200);
      await desk.keyboard.press("Escape");
      await desk.waitForTimeout(100);
    }
  const samples = await desk.evaluate(() => (window as unknown as { samples: number[] }).samples);
  printRow(
    "Find: key press → the frame with the first changed result",
    "ms",
    distributionOf(samples),
    "under 50",
  );
  await browser.close();
  await show.stop();
}
