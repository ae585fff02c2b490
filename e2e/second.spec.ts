import type { CDPSession, Page } from "@playwright/test";
import { PNG } from "pngjs";
import { LAYER_ROUNDING, largestDifference, shoot } from "./support/pixels.ts";
import { RunningShow } from "./support/runningShow.ts";
import {
  expect,
  hold,
  openDesk,
  output,
  seqOf,
  settled,
  takeSteps,
  takeToSong,
  test,
} from "./support/show.ts";

test.use({ outputWindow: { width: 960, height: 540 } });

const seconds: RunningShow[] = [];
test.afterEach(async () => {
  for (const second of seconds.splice(0)) await second.stop();
});

/** Starts a machine that follows a show, by the command that the show's desk gives, and waits until it has all of it. */
async function followed(page: Page, show: RunningShow): Promise<RunningShow> {
  await openDesk(page, show, "health");
  const section = page.getByRole("region", { name: "Second machine" });
  await section.getByRole("button", { name: "How to have one" }).click();
  const link = /--follow (\S+)/.exec(await section.locator("code").innerText())?.[1] ?? "";
  const second = new RunningShow(false, { args: ["--follow", link], isQuiet: true });
  seconds.push(second);
  await second.start();
  await expect(section.getByRole("status")).toContainText("ready to take over");
  return second;
}

/** The one press, on the second machine's own page; then its desk is open there. */
async function takeOver(page: Page, second: RunningShow, says: string): Promise<void> {
  await page.goto(second.base);
  await expect(page.getByRole("heading", { name: says })).toBeVisible();
  await hold(page, page.getByRole("button", { name: "Hold to take over" }), () =>
    expect(page.getByRole("heading", { name: "Taking over" })).toBeVisible(),
  );
  await page.waitForURL("**/run");
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
}

/** The second machine's page of a screen, in the window that was opened on the first. */
const inside = (wall: Page) => wall.frameLocator("iframe").locator("main");

/** Every picture that a window shows anew, from now on. */
async function watchFrames(
  wall: Page,
): Promise<{ readonly frames: PNG[]; readonly end: () => Promise<void> }> {
  const session: CDPSession = await wall.context().newCDPSession(wall);
  const frames: PNG[] = [];
  session.on("Page.screencastFrame", ({ data, sessionId }) => {
    frames.push(PNG.sync.read(Buffer.from(data, "base64")));
    void session.send("Page.screencastFrameAck", { sessionId }).catch(() => undefined);
  });
  await session.send("Page.startScreencast", { format: "png", everyNthFrame: 1 });
  return { frames, end: async () => void (await session.send("Page.stopScreencast")) };
}

test("the first machine is killed: by one press the second leads, and no frame of any screen shows anything else", async ({
  page,
  show,
  openOutput,
}) => {
  const second = await followed(page, show);
  await openDesk(page, show);
  const walls = [await openOutput(show, 0), await openOutput(show, 1)];
  const [wall, stream] = walls as [Page, Page];
  await takeToSong(page, wall);
  const seq = await seqOf(wall);
  await settled(stream, seq);
  const before = await Promise.all(walls.map(shoot));
  const watched = await Promise.all(walls.map(watchFrames));
  await show.kill();
  await expect(page.getByRole("link", { name: "Take over on the second machine" })).toBeVisible();
  await takeOver(page, second, "The first machine is not heard");
  for (const screen of walls) {
    await expect(screen.locator("iframe")).toHaveCSS("opacity", "1");
    await expect(inside(screen)).toHaveAttribute("data-seq", `${seq}`);
    await expect(inside(screen)).toHaveAttribute("data-moving", "no");
  }
  for (const [index, screen] of walls.entries()) {
    await watched[index]?.end();
    const first = watched[index]?.frames[0] as PNG;
    for (const frame of watched[index]?.frames ?? [])
      expect(largestDifference(frame, first)).toBeLessThanOrEqual(LAYER_ROUNDING);
    expect(largestDifference(await shoot(screen), before[index] as PNG)).toBeLessThanOrEqual(LAYER_ROUNDING);
  }
  // And the show goes on there: the wall shows two steps of the stream at once.
  for (const after of [seq + 1, seq + 2]) {
    await page.keyboard.press("Space");
    for (const screen of walls) await expect(inside(screen)).toHaveAttribute("data-seq", `${after}`);
  }
  await expect(inside(wall)).toHaveAttribute("data-moving", "no");
  expect(largestDifference(await shoot(wall), before[0] as PNG)).toBeGreaterThan(50);

  // The first one comes back: one leads, and it is not the one that does not know of it.
  await expect(show.start()).rejects.toThrow(/leads this show now/);
  // And the one that leads may die as well: started again by the same command, it leads, and follows nobody.
  await second.kill();
  await second.start();
  await expect(inside(wall)).toHaveAttribute("data-connection", "open");
  await expect(inside(wall)).toHaveAttribute("data-seq", `${seq + 2}`);
});

test("what was told before the first machine died is known to the second, whenever that is", async ({
  page,
  show,
  openOutput,
}) => {
  const second = await followed(page, show);
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const begun = await seqOf(wall);
  // As soon as the third of these is seen, and before the machine does anything else.
  await wall.exposeFunction("nowKill", () => process.kill(show.processId, "SIGKILL"));
  await output(wall).evaluate((main, upTo) => {
    new MutationObserver((_changes, observer) => {
      if (Number(main.dataset.seq) < upTo) return;
      observer.disconnect();
      (window as unknown as { nowKill: () => void }).nowKill();
    }).observe(main, { attributeFilter: ["data-seq"] });
  }, begun + 3);
  for (let press = 0; press < 6; press++) await page.keyboard.press("Space");
  await show.untilEnded();
  const told = await seqOf(wall);
  await takeOver(page, second, "The first machine is not heard");
  await expect(inside(wall)).toHaveAttribute("data-seq", /\d/);
  expect(Number(await inside(wall).getAttribute("data-seq"))).toBeGreaterThanOrEqual(told);
});

test("the first machine gives over when it is asked to: it stops leading, and sends whoever comes to the second", async ({
  page,
  show,
  openOutput,
}) => {
  const second = await followed(page, show);
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeSteps(page, wall, 3);
  const seq = await seqOf(wall);
  await takeOver(page, second, "Ready to take over");
  await expect(inside(wall)).toHaveAttribute("data-seq", `${seq}`);
  await page.goto(`${show.base}/run`);
  expect(new URL(page.url()).port).toBe(new URL(second.base).port);
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
  await page.keyboard.press("Space");
  await expect(inside(wall)).toHaveAttribute("data-seq", `${seq + 1}`);
  // A window loaded anew by the first one's link is sent on as well.
  await wall.reload();
  await expect(output(wall)).toHaveAttribute("data-seq", `${seq + 1}`);
  expect(new URL(wall.url()).port).toBe(new URL(second.base).port);
});

test("a first machine that stood still and comes to itself finds that another leads, and stops leading", async ({
  page,
  show,
  openOutput,
}) => {
  const second = await followed(page, show);
  const wall = await openOutput(show, 0);
  const seq = await seqOf(wall);
  process.kill(show.processId, "SIGSTOP");
  await takeOver(page, second, "The first machine is not heard");
  await expect(inside(wall)).toHaveAttribute("data-seq", `${seq}`);
  process.kill(show.processId, "SIGCONT");
  const leads = async () => (await fetch(`${show.base}/run`, { redirect: "manual" })).headers.get("location");
  await expect.poll(leads).toBe(`${second.base}/run`);
  await page.keyboard.press("Space");
  await expect(inside(wall)).toHaveAttribute("data-seq", `${seq + 1}`);
});

test("a second machine that is started again while the first is gone still has what it had, and can lead with it", async ({
  page,
  show,
  openOutput,
}) => {
  const second = await followed(page, show);
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeSteps(page, wall, 3);
  const seq = await seqOf(wall);
  const before = await shoot(wall);
  // The power fails in both: the first does not come back.
  await show.kill();
  await second.kill();
  await second.start();
  await takeOver(page, second, "The first machine is not heard");
  await expect(inside(wall)).toHaveAttribute("data-seq", `${seq}`);
  expect(largestDifference(await shoot(wall), before)).toBeLessThanOrEqual(LAYER_ROUNDING);
});
