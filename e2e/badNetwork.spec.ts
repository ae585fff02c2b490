import type { Browser } from "@playwright/test";
import { CutProxy } from "./support/cutProxy.ts";
import { brightness, LAYER_ROUNDING, largestDifference, shoot } from "./support/pixels.ts";
import type { RunningShow } from "./support/runningShow.ts";
import { expect, goTo, openDesk, output, seqOf, settled, takeCue, takeSteps, test } from "./support/show.ts";

const HOUR_MS = 3_600_000;
/** Longer than the server waits for a silent window (10 s). Half a minute when asked: CUT_MS=30000. */
const CUT_MS = Number(process.env.CUT_MS ?? 12_000);

test("a network cut for long in mid-motion: the picture moves on, the desk says so, and it comes back right @long", async ({
  page,
  show,
  openOutput,
  browser,
  outputWindow,
}) => {
  await openDesk(page, show, "screens");
  const proxy = await CutProxy.before(show.base);
  const wall = await openOutput(show, 0);
  const far = await (await browser.newContext({ viewport: outputWindow })).newPage();
  await far.goto(proxy.through(show.outputLink(0)));
  await expect(output(far)).toHaveAttribute("data-ready", "yes");
  await goTo(page, "Run");
  await takeSteps(page, wall, 2);
  const seq = await seqOf(wall);
  await page.keyboard.press("Space");
  await expect(output(far)).toHaveAttribute("data-seq", `${seq + 1}`);
  proxy.cut();
  const cutAtMs = Date.now();
  await expect(output(far)).toHaveAttribute("data-connection", "lost");
  // The motion it was in ends as it would have.
  await expect(output(far)).toHaveAttribute("data-moving", "no");
  await settled(wall, seq + 1);
  expect(largestDifference(await shoot(far), await shoot(wall))).toBeLessThanOrEqual(LAYER_ROUNDING);
  // Of the two windows of this screen one is silent, and that is said.
  await goTo(page, "Screens");
  await wall.close();
  const row = page.locator("article", { hasText: "Loft wall" });
  await expect(row).toContainText(/late|lost/);
  await goTo(page, "Run");
  await page.keyboard.press("Space");
  await expect(page.locator("[data-mark=air]", { hasText: "Ilse Tarrow" })).toBeVisible();
  await expect.poll(() => Date.now() - cutAtMs).toBeGreaterThan(CUT_MS);
  expect(await seqOf(far)).toBe(seq + 1);
  proxy.mend();
  await expect(output(far)).toHaveAttribute("data-connection", "open");
  await expect(output(far)).toHaveAttribute("data-seq", `${seq + 2}`);
  const fresh = await openOutput(show, 0);
  await settled(fresh, seq + 2);
  await expect
    .poll(async () => largestDifference(await shoot(far), await shoot(fresh)))
    .toBeLessThanOrEqual(LAYER_ROUNDING);
  proxy.close();
  await far.context().close();
});

test("a clock that is hours off, and one that jumps, show the same as the others @long", async ({
  page,
  show,
  openOutput,
  browser,
  outputWindow,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const context = await browser.newContext({ viewport: outputWindow });
  const off = await context.newPage();
  await off.addInitScript((aheadMs) => {
    const origin = performance.timeOrigin + aheadMs;
    const clock = performance.now.bind(performance);
    let jumpedMs = 0;
    Object.defineProperty(performance, "timeOrigin", { get: () => origin });
    performance.now = () => clock() + jumpedMs;
    Object.assign(window, {
      jump: (ms: number) => {
        jumpedMs += ms;
      },
    });
  }, 5 * HOUR_MS);
  await off.goto(show.outputLink(0));
  await expect(output(off)).toHaveAttribute("data-ready", "yes");
  await takeSteps(page, wall, 3);
  await settled(off, await seqOf(wall));
  expect(largestDifference(await shoot(off), await shoot(wall))).toBeLessThanOrEqual(LAYER_ROUNDING);
  await goTo(page, "Screens");
  const row = page.locator("article", { hasText: "Loft wall" });
  await expect(row).toContainText(/clock 5:00:00 ahead/);

  // The device was set anew, or slept: by the next answers of the server the window knows.
  await off.evaluate((ms) => (window as unknown as { jump: (ms: number) => void }).jump(ms), -2 * HOUR_MS);
  await expect(row).toContainText(/clock 3:00:00 ahead/);
  await goTo(page, "Run");
  const seq = await seqOf(wall);
  await page.keyboard.press("Space");
  await settled(wall, seq + 1);
  await settled(off, seq + 1);
  expect(largestDifference(await shoot(off), await shoot(wall))).toBeLessThanOrEqual(LAYER_ROUNDING);
  await context.close();
});

test("a window that starts with no server shows what it was told to: its last picture, or nothing @long", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeSteps(page, wall, 3);
  const seq = await seqOf(wall);
  const picture = await shoot(wall);
  expect(brightness(picture)).toBeGreaterThan(1);
  // The page and its files, and the show, once it has been quiet.
  await expect
    .poll(() => wall.evaluate(async () => (await (await caches.open("vesko-kept-pages")).keys()).length))
    .toBeGreaterThan(10);
  await expect
    .poll(() => wall.evaluate(async () => (await (await caches.open("vesko-kept-show")).keys()).length))
    .toBe(1);
  await show.kill();
  await wall.reload();
  await expect(output(wall)).toHaveAttribute("data-ready", "yes");
  await expect(output(wall)).toHaveAttribute("data-connection", "lost");
  expect(largestDifference(await shoot(wall), picture)).toBeLessThanOrEqual(LAYER_ROUNDING);

  await show.start();
  await settled(wall, seq);
  await goTo(page, "Screens");
  const choice = page.getByRole("combobox", { name: "Started with no server, it shows" });
  await choice.selectOption({ label: "The upper slip, winter" });
  await expect(choice).toHaveValue(/^[0-9a-f]{64}$/);
  await wall.reload();
  // A change of a screen is an event, which can be undone.
  await settled(wall, seq + 1);
  await expect
    .poll(() =>
      wall.evaluate(async () =>
        (await (await caches.open("vesko-kept-pages")).keys()).some(({ url }) => url.includes("/media/")),
      ),
    )
    .toBe(true);
  await show.kill();
  await wall.reload();
  await expect(output(wall)).toHaveAttribute("data-stand-by", "picture");
  // A winter's picture in place of the title.
  await expect.poll(async () => largestDifference(await shoot(wall), picture)).toBeGreaterThan(50);
  await expect.poll(async () => brightness(await shoot(wall))).toBeGreaterThan(10);
  await show.start();
  await settled(wall, seq + 1);
  await page
    .getByRole("combobox", { name: "Started with no server, it shows" })
    .selectOption({ label: "nothing but its ground" });
  await expect(page.getByRole("combobox", { name: "Started with no server, it shows" })).toHaveValue(
    "nothing",
  );
  await wall.reload();
  await settled(wall, seq + 2);
  await show.kill();
  await wall.reload();
  await expect(output(wall)).toHaveAttribute("data-stand-by", "nothing");
  expect(brightness(await shoot(wall))).toBe(0);
});

/** An output whose window gets no more files, until they are let through. Its worker is off: it would fetch them unseen. */
async function openWithoutFiles(browser: Browser, show: RunningShow) {
  const context = await browser.newContext({
    viewport: { width: 960, height: 540 },
    serviceWorkers: "block",
  });
  const screen = await context.newPage();
  await screen.goto(show.outputLink(0));
  await expect(output(screen)).toHaveAttribute("data-ready", "yes");
  let refused = 0;
  const address = /\/(media|fonts)\//;
  await screen.route(address, (route) => {
    refused++;
    return route.abort();
  });
  return { screen, refused: () => refused, letThrough: () => screen.unroute(address) };
}

test("a picture and a clip that could not be fetched come when the network does", async ({
  page,
  show,
  browser,
}) => {
  await openDesk(page, show);
  const picture = await openWithoutFiles(browser, show);
  await takeCue(page, "cue-0018");
  await settled(picture.screen, 3);
  await expect.poll(picture.refused).toBeGreaterThan(0);
  const without = await shoot(picture.screen);
  await picture.letThrough();
  await expect.poll(async () => largestDifference(await shoot(picture.screen), without)).toBeGreaterThan(100);
  await picture.screen.context().close();

  const clip = await openWithoutFiles(browser, show);
  await takeCue(page, "cue-0019");
  const playedS = () => clip.screen.evaluate(() => document.querySelector("video")?.currentTime ?? 0);
  await expect.poll(clip.refused).toBeGreaterThan(0);
  expect(await playedS()).toBe(0);
  // While the file is away the clip is not loaded anew: that would take its last frame off.
  await clip.screen.evaluate(() => {
    document.querySelector("video")?.addEventListener("emptied", () => {
      document.body.dataset.emptied = "yes";
    });
  });
  const refusedBefore = clip.refused();
  await expect.poll(clip.refused).toBeGreaterThan(refusedBefore + 1);
  await expect(clip.screen.locator("body")).not.toHaveAttribute("data-emptied");
  await clip.letThrough();
  await expect.poll(playedS).toBeGreaterThan(0);
  await clip.screen.context().close();
});

test("a font that could not be fetched comes when the network does, and the words with it", async ({
  page,
  emptyShow,
  browser,
}) => {
  await openDesk(page, emptyShow, "prepare");
  const wall = await openWithoutFiles(browser, emptyShow);
  const box = page.getByRole("textbox", { name: "Add" });
  await box.fill("海の灯, 港");
  await expect(page.getByText(/name strap: 海の灯/)).toBeVisible();
  await box.press("Enter");
  await goTo(page, "Run");
  await expect(page.locator("[data-mark=next]")).toContainText("海の灯");
  await expect.poll(wall.refused).toBeGreaterThan(0);
  await page.keyboard.press("Space");
  await settled(wall.screen, 2);
  const boxes = await shoot(wall.screen);
  await wall.letThrough();
  await expect.poll(async () => largestDifference(await shoot(wall.screen), boxes)).toBeGreaterThan(100);
  await wall.screen.context().close();
});

test("a connection that goes deaf without breaking is given up, and the screen is right again", async ({
  page,
  show,
  browser,
  openOutput,
  outputWindow,
}) => {
  await openDesk(page, show);
  const proxy = await CutProxy.before(show.base);
  const wall = await openOutput(show, 0);
  const far = await (await browser.newContext({ viewport: outputWindow })).newPage();
  await far.goto(proxy.through(show.outputLink(0)));
  await expect(output(far)).toHaveAttribute("data-ready", "yes");
  await takeSteps(page, wall, 1);
  const seq = await seqOf(wall);
  await settled(far, seq);
  proxy.deafen();
  await page.keyboard.press("Space");
  await settled(wall, seq + 1);
  expect(await seqOf(far)).toBe(seq);
  await settled(far, seq + 1);
  await expect(output(far)).toHaveAttribute("data-connection", "open");
  await expect
    .poll(async () => largestDifference(await shoot(far), await shoot(wall)))
    .toBeLessThanOrEqual(LAYER_ROUNDING);
  proxy.close();
  await far.context().close();
});
