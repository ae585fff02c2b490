import {
  type Browser,
  type BrowserContext,
  test as base,
  expect,
  type Locator,
  type Page,
} from "@playwright/test";
import type { ViewPath } from "../../app/views.ts";
import { RunningShow } from "./runningShow.ts";

/** A demo show that is started while the test before runs, so that the next one need not wait for it. */
let spare: Promise<RunningShow> | undefined;

async function startDemo(): Promise<RunningShow> {
  const show = new RunningShow(true);
  await show.start();
  return show;
}

interface WorkerFixtures {
  readonly spareShow: undefined;
}

interface Fixtures {
  /** Pixels of the windows that outputs are opened in. */
  readonly outputWindow: { readonly width: number; readonly height: number };
  readonly show: RunningShow;
  readonly emptyShow: RunningShow;
  readonly openOutput: (show: RunningShow, index: number, query?: string) => Promise<Page>;
}

export const test = base.extend<Fixtures, WorkerFixtures>({
  spareShow: [
    // biome-ignore lint/correctness/noEmptyPattern: fixtures name what they need
    async ({}, use) => {
      await use(undefined);
      const left = spare;
      spare = undefined;
      await (await left?.catch(() => undefined))?.stop();
    },
    { scope: "worker", auto: true },
  ],
  outputWindow: [{ width: 1920, height: 1080 }, { option: true }],
  // biome-ignore lint/correctness/noEmptyPattern: fixtures name what they need
  show: async ({}, use) => {
    const show = await (spare ?? startDemo());
    spare = startDemo();
    // It is looked at when the next test wants it.
    spare.catch(() => undefined);
    await use(show);
    await show.stop();
  },
  // biome-ignore lint/correctness/noEmptyPattern: fixtures name what they need
  emptyShow: async ({}, use) => {
    const show = new RunningShow(false);
    await show.start();
    await use(show);
    await show.stop();
  },
  openOutput: async ({ browser, outputWindow }, use) => {
    const contexts: BrowserContext[] = [];
    await use(async (show, index, query = "") => {
      const context = await browser.newContext({ viewport: outputWindow });
      contexts.push(context);
      const page = await context.newPage();
      await page.goto(show.outputLink(index) + query);
      await expect(output(page)).toHaveAttribute("data-ready", "yes");
      return page;
    });
    for (const context of contexts) await context.close();
  },
});

export { expect };

export const output = (page: Page) => page.locator("main");

/** Desks that tests have opened. */
const desks = new Set<Page>();

/** Every desk of a screen's show has heard what the screen shows: what a key does follows from what its desk knows. */
async function desksHave(screen: Page, seq: number): Promise<void> {
  const { origin } = new URL(screen.url());
  for (const desk of desks) {
    if (desk.isClosed()) desks.delete(desk);
    else if (desk.url().startsWith(`${origin}/`))
      await expect.poll(() => toldSeq(desk)).toBeGreaterThanOrEqual(seq);
  }
}

/** @returns the last event a desk was told of; infinite where that is no desk, or one that does not hear the air now */
async function toldSeq(desk: Page): Promise<number> {
  const told = await desk
    .evaluate(() => document.querySelector<HTMLElement>("[data-desk]")?.dataset.seq)
    // It goes to another page at this moment.
    .catch(() => "-1");
  return told === undefined ? Number.POSITIVE_INFINITY : Number(told);
}

/** Opens a desk view and waits until it is alive and connected. */
export async function openDesk(page: Page, show: RunningShow, view: ViewPath = "run"): Promise<void> {
  desks.add(page);
  await page.goto(`${show.base}/${view}`);
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
}

const MAIN = {
  Run: "Script",
  Screens: "Screens",
  Prepare: "Rundown",
  Check: "Check",
  Keys: "Keys",
  Timing: "Timing",
  Report: "Report",
  Paper: "Paper",
} as const;
/** Those that are behind the settings button. */
const IN_MENU: readonly string[] = ["Keys", "Report", "Paper"];

/** Goes to another view of the desk, and waits until it is there: keys pressed before are the old view's. */
export async function goTo(page: Page, view: keyof typeof MAIN): Promise<void> {
  if (IN_MENU.includes(view)) await page.getByRole("button", { name: "Keys and settings" }).click();
  await page.getByRole("link", { name: view, exact: true }).click();
  await expect(page.getByRole("main", { name: MAIN[view] })).toBeVisible();
}

/** Holds a button that acts only when it is held, until what it does is seen. */
export async function hold(page: Page, button: Locator, isSeen: () => Promise<void>): Promise<void> {
  await button.hover();
  await page.mouse.down();
  await isSeen();
  await page.mouse.up();
}

/** A short press of a key that is held: both ends are sent at once, for on a busy machine the second came half a second late. */
export const tap = (page: Page, key: string) => Promise.all([page.keyboard.down(key), page.keyboard.up(key)]);

/** The box in which a row of a feed is picked for a page. */
export const pickBox = (page: Page, feedName: string): Locator =>
  page
    .locator("div")
    .filter({ has: page.getByRole("combobox", { name: `Row of ${feedName}` }) })
    .filter({ has: page.getByRole("button", { name: "Next row" }) })
    .last();

/** Waits until an output shows event `seq`, at rest. */
export async function settled(page: Page, seq: number): Promise<void> {
  await expect(output(page)).toHaveAttribute("data-seq", `${seq}`);
  await desksHave(page, seq);
  await expect(output(page)).toHaveAttribute("data-moving", "no");
}

export async function seqOf(page: Page): Promise<number> {
  // A window that has only just opened has not been told yet.
  await expect(output(page)).toHaveAttribute("data-seq", /^\d+$/);
  return Number(await output(page).getAttribute("data-seq"));
}

/** Arms the first step of a cue and takes it. */
export async function takeCue(desk: Page, cueId: string): Promise<void> {
  await arm(desk, desk.locator(`[data-step^="${cueId}/"]`).first());
  await desk.keyboard.press("Space");
}

/** Takes what these words find, from the run view, and waits until the output shows it. */
export async function takeFound(desk: Page, wall: Page, words: string): Promise<void> {
  const before = await seqOf(wall);
  await desk.keyboard.press("f");
  await desk.getByRole("combobox").fill(words);
  await desk.keyboard.press("Control+Enter");
  await settled(wall, before + 1);
}

/** The chosen cue no longer leaves by itself: what comes next may take longer than it would have stayed. */
export async function stayUntilOut(desk: Page, cueId: string): Promise<void> {
  const stay = desk.locator(`#edit-${cueId}-stay`);
  await stay.fill("");
  await stay.press("Tab");
}

/** Opens the run view with a cue that no longer leaves by itself. */
export async function openWithLasting(desk: Page, show: RunningShow, cueId: string): Promise<void> {
  await openDesk(desk, show, "prepare");
  await chooseCue(desk, cueId);
  await stayUntilOut(desk, cueId);
  await saved(desk);
  await goTo(desk, "Run");
}

/** The words of the steps that the script marks. */
export async function marked(page: Page, mark: "air" | "next"): Promise<string[]> {
  return page.locator(`[data-mark=${mark}]`).allInnerTexts();
}

/** Presses take so many times, each after the one before was told to the output. */
export async function takeSteps(desk: Page, screen: Page, count: number): Promise<void> {
  for (let i = 0; i < count; i++) {
    const before = await seqOf(screen);
    await desk.keyboard.press("Space");
    await expect(output(screen)).toHaveAttribute("data-seq", `${before + 1}`);
    await desksHave(screen, before + 1);
  }
  await expect(output(screen)).toHaveAttribute("data-moving", "no");
}

/** Takes on until it was seen, at most four times: a machine that stalls passes over a short motion between two frames. */
export async function takeUntil(desk: Page, screen: Page, isSeen: () => Promise<boolean>): Promise<void> {
  for (let takes = 0; !(await isSeen()); takes++) {
    expect(takes, "takes in which it was not seen").toBeLessThan(4);
    await takeSteps(desk, screen, 1);
  }
}

/** The demo show up to the first words of its first song, with the strap before it taken out: it would lie over the band. */
export async function takeToSong(desk: Page, screen: Page): Promise<void> {
  await takeSteps(desk, screen, 5);
  const taken = await seqOf(screen);
  await desk.keyboard.press("4");
  await settled(screen, taken + 1);
}

/** Scrolls the script, or the rundown, until something of it is in sight: only what is near the sight is drawn. */
export async function scrollTo(page: Page, what: Locator): Promise<Locator> {
  await page.getByRole("main").hover();
  if (!(await what.isVisible())) await page.mouse.wheel(0, -1_000_000);
  await expect
    .poll(
      async () => {
        if (await what.isVisible()) return true;
        await page.mouse.wheel(0, 400);
        return false;
      },
      { intervals: [60] },
    )
    .toBe(true);
  // Drawn is not yet in sight: a few rows above and below are drawn too.
  await what.scrollIntoViewIfNeeded();
  await expect(what).toBeInViewport();
  return what;
}

/** Waits until the rundown in Prepare has so many cues, drawn or not. */
export async function expectCues(page: Page, count: number): Promise<void> {
  await expect(page.locator("[data-cue]").first()).toHaveAttribute("aria-setsize", `${count}`);
}

/** Arms a step of the script, and waits until the desk says so: a press that waits behind one the server is slow to answer is let go. */
export async function arm(page: Page, step: Locator): Promise<void> {
  await (await scrollTo(page, step)).click();
  await expect(step).toContainText("NEXT · ARMED");
}

/** All that was typed in the open cue, or song, is on the disk. */
export const saved = (page: Page) => expect(page.getByText("saved", { exact: true })).toBeVisible();

/** A cue's row in Prepare. */
export const cueRow = (page: Page, cueId: string): Locator => page.locator(`[data-cue=${cueId}]`);

/** The part of a cue's row in Prepare that chooses it. */
export const cueButton = (page: Page, cueId: string): Locator =>
  cueRow(page, cueId).locator("[aria-pressed]").first();

/** Chooses a cue in Prepare: it opens for editing. */
export const chooseCue = (page: Page, cueId: string) => cueButton(page, cueId).click();

/** Another desk: a browser of its own, on Run unless another view is said. */
export async function anotherDesk(
  browser: Browser,
  show: RunningShow,
  view: ViewPath = "run",
): Promise<Page> {
  const desk = await (await browser.newContext()).newPage();
  await openDesk(desk, show, view);
  return desk;
}
