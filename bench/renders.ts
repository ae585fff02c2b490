import { chromium, type Page } from "@playwright/test";
import { RunningShow } from "../e2e/support/runningShow.ts";
import { BROWSER_ARGS } from "./browser.ts";
import { printValue } from "./distribution.ts";
import { few } from "./few.ts";

const TAKES = few(12, 2);
const QUIET_MS = few(6_000, 500);

/**
 * How many components of the desk are drawn anew for one take, and for one report of how the screens do: counted as the
 * framework itself marks them, in the build that ships.
 */
export async function benchRenders(): Promise<void> {
  const show = new RunningShow(true);
  await show.start();
  const executablePath = process.env.CHROMIUM_PATH ?? "/usr/bin/chromium";
  const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS });
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const desk = await context.newPage();
  // What the loader of this bench puts into functions is not known to the page.
  await desk.addInitScript("globalThis.__name = (f) => f");
  await desk.addInitScript(countRenders);
  for (const view of ["run", "prepare"]) {
    await desk.goto(`${show.base}/${view}`);
    await desk.getByText("connected", { exact: true }).waitFor();
    if (view === "run") {
      // Reports come while a window paints.
      const link = await desk.locator('a[href*="/out/"]').first().getAttribute("href");
      if (link) await (await context.newPage()).goto(new URL(link, show.base).href);
    }
    await desk.bringToFront();
    await settle(desk);
    const quiet = await during(desk, () => desk.waitForTimeout(QUIET_MS));
    printValue(
      `${view}: components drawn anew a second, nothing done`,
      "renders",
      (quiet.renders / QUIET_MS) * 1_000,
      "",
    );
    let renders = 0;
    for (let i = 0; i < TAKES; i++) {
      const counted = await during(desk, async () => {
        await desk.keyboard.press(view === "run" ? "Space" : "Control+Shift+Space");
        await settle(desk);
      });
      renders += counted.renders;
    }
    printValue(`${view}: components drawn anew for one take`, "renders", renders / TAKES, "");
  }
  await browser.close();
  await show.stop();
}

/** Until the page has drawn what came of it. */
const settle = (page: Page) => page.waitForTimeout(450);

async function during(page: Page, work: () => Promise<unknown>): Promise<{ readonly renders: number }> {
  const read = () =>
    page.evaluate(() => (globalThis as unknown as { rendersCounted: number }).rendersCounted);
  const before = await read();
  await work();
  return { renders: (await read()) - before };
}

/** In the page, before it loads: counts function components that did work, commit by commit, as the framework's tools do. */
function countRenders(): void {
  interface Fiber {
    readonly tag: number;
    readonly flags: number;
    readonly child: Fiber | null;
    readonly sibling: Fiber | null;
    readonly alternate: Fiber | null;
  }
  const PERFORMED_WORK = 1;
  const COMPONENTS = new Set([0, 1, 11, 14, 15]);
  const page = globalThis as unknown as { rendersCounted: number; __REACT_DEVTOOLS_GLOBAL_HOOK__: unknown };
  page.rendersCounted = 0;
  const visit = (fiber: Fiber): void => {
    if (COMPONENTS.has(fiber.tag) && (fiber.flags & PERFORMED_WORK) !== 0) page.rendersCounted++;
    // Children that are the very same were not looked at.
    if (fiber.alternate && fiber.child === fiber.alternate.child) return;
    for (let child = fiber.child; child; child = child.sibling) visit(child);
  };
  page.__REACT_DEVTOOLS_GLOBAL_HOOK__ = {
    renderers: new Map(),
    supportsFiber: true,
    inject: () => 1,
    onScheduleFiberRoot() {},
    onCommitFiberUnmount() {},
    onPostCommitFiberRoot() {},
    onCommitFiberRoot(_id: number, root: { readonly current: Fiber }) {
      visit(root.current);
    },
  };
}
