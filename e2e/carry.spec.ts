import { createHash } from "node:crypto";
import { readFileSync, writeFileSync } from "node:fs";
import type { Page } from "@playwright/test";
import { largestDifference, shoot } from "./support/pixels.ts";
import {
  chooseCue,
  cueRow,
  expect,
  expectCues,
  goTo,
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

/** Saves all of the show from the desk. @returns where the file lies */
async function saveShow(page: Page, target: string): Promise<string> {
  await page.getByRole("region", { name: "Save a show file" }).getByRole("button", { name: "Save" }).click();
  const link = page.getByRole("link", { name: "Download" });
  await expect(link).toBeVisible();
  const [download] = await Promise.all([page.waitForEvent("download"), link.click()]);
  await download.saveAs(target);
  return target;
}

const choose = (page: Page, file: string) =>
  page.getByLabel("Show file", { exact: true }).setInputFiles(file);
const whatIsInIt = (page: Page) => page.getByRole("region", { name: "What is in it" });
const becomes = (page: Page, name: string, choice: string) =>
  page.getByRole("group", { name: `What becomes of ${name}` }).getByRole("button", { name: choice });
const again = (page: Page) =>
  expect(page.getByRole("listitem").filter({ hasText: "brought in" })).toBeVisible();

test("what clashes is asked once; what is chosen comes, and no screen sees any of it", async ({
  page,
  show,
  openOutput,
}, info) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeToSong(page, wall);
  const seq = await seqOf(wall);
  const before = await shoot(wall);

  await openDesk(page, show, "carry");
  const file = await saveShow(page, info.outputPath("lantern.vesko.zip"));
  // Another evening goes on here meanwhile: a cue goes, a song has other words.
  await openDesk(page, show, "prepare");
  await chooseCue(page, "cue-0001");
  await page.keyboard.press("Delete");
  await expectCues(page, 41);

  await openDesk(page, show, "carry");
  await choose(page, file);
  await expect(whatIsInIt(page)).toContainText("1 says something else than what is here");
  await expect(page.getByRole("listitem", { name: "Lantern Evening" })).toContainText("1 cue only there");
  await becomes(page, "Lantern Evening", "Both").click();
  await page.getByRole("button", { name: "Bring in 1 thing" }).click();
  await again(page);
  await settled(wall, seq);
  expect(largestDifference(await shoot(wall), before)).toBe(0);

  await page.goto(`${show.base}/evenings`);
  const brought = page.getByRole("listitem", { name: "Lantern Evening (brought)" });
  await expect(brought).toContainText("42 cues");
  // The show goes on where it was.
  await openDesk(page, show);
  await takeSteps(page, wall, 1);
});

test("a show opened on another machine gives the same picture, to the pixel", async ({
  page,
  browser,
  show,
  emptyShow,
  openOutput,
}, info) => {
  await openDesk(page, show, "carry");
  const file = await saveShow(page, info.outputPath("lantern.vesko.zip"));
  const hall = await (await browser.newContext()).newPage();
  await openDesk(hall, emptyShow, "carry");
  const screen = await openOutput(emptyShow, 0);
  await choose(hall, file);
  const open = hall.getByRole("button", { name: /Hold: open as a new show/ });
  await hold(hall, open, () => expect(hall.getByText("Open now.")).toBeVisible());
  await expect(hall.getByText("connected", { exact: true })).toBeVisible();
  await expect(hall.getByText("Open now.")).toBeVisible();
  await openDesk(hall, emptyShow);
  // The screen had its link before: it is the same screen of another show.
  await expect(output(screen)).toHaveAttribute("data-connection", "open");
  // Every cue on every kind of screen, by the sums of the stills' bytes; what shows the time is asked for in the same second.
  const sumOf = async (base: string, cue: number, screenId: string) => {
    const cueId = `cue-${String(cue).padStart(4, "0")}`;
    const still = await page.request.get(`${base}/still/desk?cue=${cueId}&output=${screenId}&width=480`);
    return createHash("sha256")
      .update(await still.body())
      .digest("hex");
  };
  for (let cue = 1; cue <= 42; cue++)
    for (const screenId of cue % 6 === 0 ? ["wall", "stream", "ribbon", "porch", "singers"] : ["wall"])
      await expect
        .poll(
          async () => {
            const both = [sumOf(show.base, cue, screenId), sumOf(emptyShow.base, cue, screenId)];
            const [here, there] = await Promise.all(both);
            return here === there;
          },
          { message: `cue ${cue} on ${screenId}` },
        )
        .toBe(true);
});

test("a broken file says so in words, and changes nothing", async ({ page, show }, info) => {
  await openDesk(page, show, "carry");
  const file = await saveShow(page, info.outputPath("lantern.vesko.zip"));
  const broken = info.outputPath("broken.vesko.zip");
  const bytes = readFileSync(file);
  writeFileSync(broken, bytes.subarray(0, bytes.length / 2));
  await choose(page, broken);
  await expect(page.getByRole("listitem", { name: "broken.vesko.zip" })).toContainText("Nothing was opened");
  await openDesk(page, show, "prepare");
  await expectCues(page, 42);
});

test("a copy that the server made gives back one evening and leaves all else", async ({ page, show }) => {
  await openDesk(page, show, "carry");
  await page.getByRole("button", { name: "Copy it now" }).click();
  await expect(page.getByRole("button", { name: "Copy it now" })).toBeEnabled();
  await openDesk(page, show, "prepare");
  await chooseCue(page, "cue-0002");
  await page.keyboard.press("Delete");
  await expectCues(page, 41);

  await openDesk(page, show, "carry");
  await page
    .getByRole("button", { name: /Look into the copy/ })
    .first()
    .click();
  await expect(whatIsInIt(page)).toContainText("1 says something else");
  await expect(page.getByRole("button", { name: "Nothing chosen" })).toBeDisabled();
  await becomes(page, "Lantern Evening", "Replace").click();
  await page.getByRole("button", { name: "Bring in 1 thing" }).click();
  await again(page);
  await openDesk(page, show, "prepare");
  await expectCues(page, 42);
  await expect(cueRow(page, "cue-0002")).toBeVisible();
  await goTo(page, "Run");
});
