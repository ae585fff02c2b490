import { chromium } from "@playwright/test";
import { FALLBACK_FONTS } from "../core/text/fontList.ts";
import { layOutText } from "../core/text/layOutText.ts";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { loadShaper } from "../server/fonts/shippedFonts.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { distributionOf, printRow, printValue } from "./distribution.ts";
import { few } from "./few.ts";
import { PASSAGE, passageFor } from "./layOut.ts";

const CRAWL_MS = few(5_000, 600);

/** Against what a browser does by itself: fitting by filling and measuring an element, and a crawl by a CSS transform. */
export async function benchAgainstBrowser(): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS });
  const page = await (await browser.newContext({ viewport: { width: 1920, height: 1080 } })).newPage();
  await page.goto(`${show.base}/run`);
  await page.evaluate("globalThis.__name = (f) => f");

  const theirs = await page.evaluate(
    async ([text, count]) => {
      const face = new FontFace("fitted", "url(/fonts/literata-500)");
      document.fonts.add(await face.load());
      const box = document.createElement("div");
      box.style.cssText = "position:fixed;width:1500px;font-family:fitted;line-height:1.35";
      box.textContent = text;
      document.body.append(box);
      const fitByFilling = () => {
        let low = 120;
        let high = 480;
        while (low <= high) {
          const middle = (low + high) >> 1;
          box.style.fontSize = `${middle / 4}px`;
          if (box.scrollHeight <= 700 && box.scrollWidth <= 1500) low = middle + 1;
          else high = middle - 1;
        }
      };
      for (let i = 0; i < 20; i++) fitByFilling();
      const samples = Array.from({ length: count }, () => {
        const from = performance.now();
        fitByFilling();
        return performance.now() - from;
      });
      box.remove();
      return samples;
    },
    [PASSAGE, few(120, 6)] as const,
  );
  const shaper = await loadShaper();
  const request = {
    widthPx: 1500,
    heightPx: 700,
    minSizePx: 30,
    maxSizePx: 120,
    leading: 1.35,
    keepLinesAbovePx: null,
    balance: false,
    paragraphGap: 0,
    fonts: FALLBACK_FONTS,
    mode: "fit" as const,
    condenseTo: 1,
  };
  for (let i = 0; i < 60; i++) layOutText(passageFor(i), request, shaper);
  const ours = Array.from({ length: few(240, 10) }, (_, i) => {
    const text = passageFor(60 + i);
    const from = performance.now();
    layOutText(text, request, shaper);
    return performance.now() - from;
  });
  printRow("fit 400 characters, ours", "ms", distributionOf(ours), "");
  printRow(
    "the same by filling an element and measuring it, in the browser",
    "ms",
    distributionOf(theirs),
    "",
  );
  printValue(
    "ratio browser / ours, medians",
    "×",
    distributionOf(theirs).median / distributionOf(ours).median,
    "",
  );
  await page.close();

  const output = await (await browser.newContext({ viewport: { width: 1920, height: 1080 } })).newPage();
  const desk = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await desk.goto(`${show.base}/run`);
  await desk.getByText("connected", { exact: true }).waitFor();
  // Only steps in sight are drawn: it is found by its words.
  await desk.keyboard.press("f");
  await desk.keyboard.type("Last ferry");
  await desk
    .getByRole("option", { name: /Last ferry/ })
    .first()
    .waitFor();
  await desk.keyboard.press("Enter");
  await desk.locator("[data-mark=next]", { hasText: "Last ferry" }).waitFor();
  await output.goto(show.outputLink(0));
  await output.waitForSelector("main[data-ready=yes]");
  await desk.keyboard.press("Space");
  await output.waitForTimeout(2_000);
  await desk.close();
  const session = await output.context().newCDPSession(output);
  const crawl = await measure(output, session);
  const css = await (async () => {
    await output.goto("about:blank");
    await output.setContent(
      `<style>body{margin:0;background:#132a42;overflow:hidden}p{position:fixed;bottom:0;margin:0;white-space:pre;font:42px sans-serif;color:#fff;animation:go 12s linear infinite}@keyframes go{from{transform:translateX(1920px)}to{transform:translateX(-2200px)}}</style><p>Last ferry 22:40    •    Soup in the sail room until ten    •    Hang lanterns on the harbour side    •    The walk to the water begins at 20:30, from Gannet Steps</p>`,
    );
    await output.waitForTimeout(1_000);
    return measure(output, session);
  })();
  printRow("crawl with its bar and clock: frame interval", "ms", distributionOf(crawl.intervals), "16.7");
  printRow("a crawl by a CSS animation: frame interval", "ms", distributionOf(css.intervals), "");
  printValue("script and style in a second, our crawl", "ms", crawl.busyMsPerSecond, "");
  printValue("script and style in a second, the CSS crawl", "ms", css.busyMsPerSecond, "");
  await browser.close();
  await show.stop();
}

type Cdp = Awaited<ReturnType<ReturnType<import("@playwright/test").Page["context"]>["newCDPSession"]>>;

async function measure(page: import("@playwright/test").Page, session: Cdp) {
  await session.send("Performance.enable");
  const busy = async () => {
    const { metrics } = await session.send("Performance.getMetrics");
    const of = (name: string) => metrics.find((metric) => metric.name === name)?.value ?? 0;
    return (of("ScriptDuration") + of("RecalcStyleDuration") + of("LayoutDuration")) * 1_000;
  };
  const before = await busy();
  await page.evaluate("globalThis.__name = (f) => f");
  const intervals = await page.evaluate(async (ms) => {
    const frames: number[] = [];
    const until = performance.now() + ms;
    await new Promise<void>((resolve) => {
      const frame = (at: number) => {
        frames.push(at);
        if (performance.now() < until) requestAnimationFrame(frame);
        else resolve();
      };
      requestAnimationFrame(frame);
    });
    return frames.slice(1).map((at, i) => at - (frames[i] as number));
  }, CRAWL_MS);
  return { intervals, busyMsPerSecond: ((await busy()) - before) / (CRAWL_MS / 1_000) };
}
