import { chromium } from "@playwright/test";
import { EXHIBITS } from "../app/gallery/exhibits.ts";
import { composeSlot } from "../core/compose/compose.ts";
import { placementsAt } from "../core/compose/placements.ts";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { arrivingAt0 } from "../test-support/moments.ts";
import { lay } from "../test-support/pages.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { distributionOf, printRow } from "./distribution.ts";
import { few } from "./few.ts";

const FRAMES = few(60, 6);
/** What each costs is set beside a box that only fades and slides. */
const MEASURED = [
  "rectangle, four corners",
  "text: out of a blur",
  "text: changes colour",
  "box that grows, outline of the same width",
  "path drawn along its length",
  "soft edges, a colour that moves",
  "bed as wide as its words, a line under them",
  "group: tint and blur of all its members",
  "rings and a bar that fill",
  "columns and lines",
  "table: heading, columns as wide as their words, marks",
];

/** The script of one frame of an arrival in a window, for each thing the format can do: 60 frames of its first second. */
export async function benchFrameCost(): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS });
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(`${show.base}/gallery`);
  await page.evaluate("globalThis.__name = (f) => f");
  await page.waitForSelector("main[aria-label=Gallery]");
  await page.waitForTimeout(3_000);
  const shaper = await loadShaper();
  for (const name of MEASURED) {
    const exhibit = EXHIBITS.find((one) => one.name === name);
    if (!exhibit) throw new Error(`The gallery has no "${name}"`);
    const { template, values } = exhibit;
    const laidOut = lay(template, { ...values }, shaper, { output: template.canvas });
    const pieces = composeSlot([arrivingAt0], "bench", () => ({ templateHash: "one", laidOut }));
    const frames = Array.from({ length: FRAMES }, (_, i) =>
      placementsAt({ pieces }, (i * 1_000) / FRAMES, template.canvas),
    );
    const took = await page.evaluate(
      async ([list, size]) => {
        const door = window.paintDoor;
        if (!door) throw new Error("the gallery's door is shut");
        const stage = door.openStage(size.widthPx, size.heightPx);
        const times: number[] = [];
        // Once round for the plates that preloading would have painted, and once to be timed.
        for (const isTimed of [false, true])
          for (const placements of list) {
            await new Promise(requestAnimationFrame);
            const from = performance.now();
            stage.draw(placements);
            if (isTimed) times.push(performance.now() - from);
          }
        stage.discard();
        return times;
      },
      [frames, template.canvas] as const,
    );
    printRow(`script for a frame: ${name}`, "ms", distributionOf(took), "under 6");
  }
  await browser.close();
  await show.stop();
}
