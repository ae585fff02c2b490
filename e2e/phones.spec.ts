import type { Browser, Page } from "@playwright/test";
import { CutProxy } from "./support/cutProxy.ts";
import type { RunningShow } from "./support/runningShow.ts";
import { expect, hold, marked, openDesk, seqOf, settled, takeSteps, test } from "./support/show.ts";

test.use({ outputWindow: { width: 960, height: 540 } });

const CALLED = { operator: "Second hand", leader: "Leader", stage: "Stage" } as const;

/** Makes a link at the desk. @returns where it leads */
async function linkFor(
  desk: Page,
  show: RunningShow,
  whose: "operator" | "leader" | "stage",
): Promise<string> {
  await openDesk(desk, show, "phones");
  await desk.getByRole("button", { name: `For the ${whose}` }).click();
  const row = desk.getByRole("listitem", { name: CALLED[whose] });
  const path = await row.getByRole("link", { name: "Open here" }).getAttribute("href");
  return `${show.base}${path}`;
}

async function openPhone(browser: Browser, link: string, clockIsAheadMs = 0): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
  });
  await context.addInitScript((aheadMs) => {
    const origin = performance.timeOrigin;
    Object.defineProperty(performance, "timeOrigin", { get: () => origin + aheadMs });
  }, clockIsAheadMs);
  const phone = await context.newPage();
  await phone.goto(link);
  await expect(phone.locator("[data-remote=open]")).toBeVisible();
  return phone;
}

const onAir = (phone: Page) => phone.getByRole("region", { name: "On air" });
const next = (phone: Page) => phone.getByRole("region", { name: "Next" });

test("a phone takes, steps back and takes off; its clock may be off by hours", async ({
  page,
  browser,
  show,
  openOutput,
}) => {
  const link = await linkFor(page, show, "operator");
  const wall = await openOutput(show, 0);
  const phone = await openPhone(browser, link, 7 * 3_600_000);
  await expect(page.getByRole("listitem", { name: "Second hand" })).toContainText("open on 1 phone");
  await expect(onAir(phone)).toContainText("Nothing was taken yet.");
  for (let taken = 0; taken < 6; taken++) {
    const before = await seqOf(wall);
    await phone.getByRole("button", { name: "Take" }).tap();
    await settled(wall, before + 1);
  }
  await expect(onAir(phone)).toContainText("Carry the Lamp Down");
  await expect(next(phone).getByRole("img")).toHaveJSProperty("complete", true);
  await openDesk(page, show);
  const nextAtDesk = (await marked(page, "next")).join();
  const words = (await next(phone).locator("p").nth(1).innerText()).split("\n")[0] ?? "";
  expect(nextAtDesk).toContain(words);
  const before = await seqOf(wall);
  await phone.getByRole("button", { name: "Step before" }).tap();
  await expect.poll(async () => (await marked(page, "next")).join()).not.toBe(nextAtDesk);
  await settled(wall, before + 1);
  await phone.getByRole("button", { name: "Out", exact: true }).tap();
  await settled(wall, before + 2);
  await expect(onAir(phone)).toContainText("HAS LEFT");
  // Whose hand it was stands at the desk.
  await page.getByRole("button", { name: /1 desk, 1 phone/ }).click();
  await expect(page.getByRole("list", { name: "Phones" })).toContainText("Second hand");
});

test("the network is cut: the phone says so at once, nothing that is pressed comes late, and it comes back", async ({
  page,
  browser,
  show,
  openOutput,
}) => {
  const link = await linkFor(page, show, "operator");
  const wall = await openOutput(show, 0);
  const network = await CutProxy.before(show.base);
  try {
    const phone = await openPhone(browser, network.through(link));
    const seq = await seqOf(wall);
    network.cut();
    await expect(phone.getByRole("alert")).toContainText("Nothing that you press is sent");
    await expect(phone.getByRole("button", { name: "Take" })).toBeDisabled();
    await phone.getByRole("button", { name: "Take" }).tap({ force: true });
    network.mend();
    await expect(phone.locator("[data-remote=open]")).toBeVisible();
    expect(await seqOf(wall)).toBe(seq);
    await phone.getByRole("button", { name: "Take" }).tap();
    await settled(wall, seq + 1);
  } finally {
    network.close();
  }
});

test("the leader sees the next words large and holds to take; the stage follows; the desk ends both", async ({
  page,
  browser,
  show,
  openOutput,
}) => {
  const leaderLink = await linkFor(page, show, "leader");
  const stageLink = await linkFor(page, show, "stage");
  const wall = await openOutput(show, 0);
  const leader = await openPhone(browser, leaderLink);
  const stage = await openPhone(browser, stageLink);
  await expect(leader.getByRole("button", { name: "Out", exact: true })).toHaveCount(0);
  await expect(stage.getByRole("button")).toHaveCount(0);
  await openDesk(page, show);
  await takeSteps(page, wall, 5);
  const seq = await seqOf(wall);
  const take = leader.getByRole("button", { name: "Hold to take" });
  // A touch by mistake does nothing.
  await take.tap();
  const words = (await next(leader).locator("p").nth(1).innerText()).split("\n")[0] ?? "";
  await hold(leader, take, () => settled(wall, seq + 1));
  await expect(onAir(leader)).toContainText(words);
  await expect(stage.locator("[aria-current=true]")).toContainText(words);
  await expect(stage.locator("[aria-current=true]")).toBeInViewport();

  await openDesk(page, show, "phones");
  const row = page.getByRole("listitem", { name: "Leader" });
  await hold(page, row.getByRole("button", { name: "End" }), () => expect(row).toHaveCount(0));
  await expect(leader.getByRole("alert")).toContainText("The desk has ended this link.");
});
