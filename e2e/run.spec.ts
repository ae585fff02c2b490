import type { Page } from "@playwright/test";
import { brightness, LAYER_ROUNDING, largestDifference, shoot } from "./support/pixels.ts";
import {
  anotherDesk,
  arm,
  chooseCue,
  expect,
  expectCues,
  goTo,
  marked,
  openDesk,
  saved,
  scrollTo,
  seqOf,
  settled,
  takeSteps,
  takeToSong,
  tap,
  test,
} from "./support/show.ts";

// Windows half as wide: they are compared with one another only, and cost a quarter.
test.use({ outputWindow: { width: 960, height: 540 } });

/** Holds a guarded key until what it does is seen. */
async function hold(page: Page, key: string, isSeen: () => Promise<void>): Promise<void> {
  await page.keyboard.down(key);
  await isSeen();
  await page.keyboard.up(key);
}

async function openCue(page: Page, cueId: string): Promise<void> {
  await (await scrollTo(page, page.locator(`[data-cue=${cueId}] [aria-pressed]`).first())).click();
}

test("keys are the venue's own: a clash is refused, a clicker takes, what is given works at once @long", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await page.keyboard.press("PageDown");
  await settled(wall, 2);
  await goTo(page, "Keys");
  await page.getByRole("button", { name: "Another key for Take", exact: true }).click();
  await page.keyboard.press("x");
  await expect(page.getByText("“X” is the key for “Cut”")).toBeVisible();
  await page.getByRole("button", { name: "Another key for Take", exact: true }).click();
  await page.keyboard.press("j");
  await expect(page.getByRole("button", { name: "Take J from Take" })).toBeVisible();
  await goTo(page, "Run");
  await page.keyboard.press("j");
  await settled(wall, 3);
  await page.reload();
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
  await page.keyboard.press("j");
  await settled(wall, 4);
});

test("black is held, comes and goes on every screen, and the picture is the same again", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const stream = await openOutput(show, 1);
  await takeToSong(page, wall);
  const seq = await seqOf(wall);
  await settled(stream, seq);
  const [wallThen, streamThen] = [await shoot(wall), await shoot(stream)];
  await tap(page, "k");
  expect(await seqOf(wall)).toBe(seq);
  await hold(page, "k", () => settled(wall, seq + 1));
  await settled(stream, seq + 1);
  expect(brightness(await shoot(wall))).toBe(0);
  // Over another picture there is nothing, rather than black.
  expect(brightness(await shoot(stream))).toBe(0);
  await expect(page.getByText(/^BLACK: /)).toBeVisible();
  await hold(page, "k", () => settled(wall, seq + 2));
  await settled(stream, seq + 2);
  expect(largestDifference(await shoot(wall), wallThen)).toBeLessThanOrEqual(LAYER_ROUNDING);
  expect(largestDifference(await shoot(stream), streamThen)).toBeLessThanOrEqual(LAYER_ROUNDING);
});

test("a name on air is mended from the run view in a few keys: held until it is sent", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeSteps(page, wall, 3);
  const seq = await seqOf(wall);
  const before = await shoot(wall);
  await page.keyboard.press("e");
  const title = page.getByRole("textbox", { name: "Title", exact: true });
  await expect(title).toBeFocused();
  await title.fill("Lantern Eve");
  await saved(page);
  await expect(page.getByText("edits are held")).toBeVisible();
  expect(await seqOf(wall)).toBe(seq);
  expect(largestDifference(await shoot(wall), before)).toBeLessThanOrEqual(LAYER_ROUNDING);
  await page.keyboard.press("Control+Shift+KeyS");
  await settled(wall, seq + 1);
  expect(largestDifference(await shoot(wall), before)).toBeGreaterThan(50);
  await expect(page.getByText("as it stands here")).toBeVisible();

  // Nudged by keys in the field, for this page alone; and put back.
  const plain = await shoot(wall);
  await page.keyboard.press("Alt+Shift+ArrowRight");
  await page.keyboard.press("Alt+ArrowDown");
  await expect(page.getByText("10 px right, 1 px down")).toBeVisible();
  await page.keyboard.press("Control+Shift+KeyS");
  await settled(wall, seq + 2);
  expect(largestDifference(await shoot(wall), plain)).toBeGreaterThan(50);
  await page.keyboard.press("Alt+Digit0");
  await saved(page);
  await page.keyboard.press("Control+Shift+KeyS");
  await settled(wall, seq + 3);
  expect(largestDifference(await shoot(wall), plain)).toBeLessThanOrEqual(LAYER_ROUNDING);

  // By choice every save goes on air by itself.
  await page.getByText("By itself, timing and notes").click();
  await page.getByRole("checkbox", { name: "Edits go on air as they are saved" }).check();
  await saved(page);
  const then = await seqOf(wall);
  await title.fill("Lantern Evening at last");
  await expect.poll(() => seqOf(wall)).toBeGreaterThan(then);
  await expect(page.getByText("every save goes on air").last()).toBeVisible();

  // Another house style is no save: it is held, and said, until it is sent.
  const styled = await seqOf(wall);
  await page.getByRole("link", { name: "Design" }).click();
  await page.getByRole("button", { name: /^Chalk quay/ }).click();
  await page.getByRole("button", { name: "Use “Chalk quay”" }).click();
  await expect(page.getByText("This style is in use")).toBeVisible();
  await goTo(page, "Prepare");
  await chooseCue(page, "cue-0003");
  await expect(page.getByText("the new style is held")).toBeVisible();
  expect(await seqOf(wall)).toBe(styled);
  await page.keyboard.press("Control+Shift+KeyS");
  await expect(page.getByText("every save goes on air")).toBeVisible();
});

test("a note goes to the stage alone, and is taken away", async ({ page, show, openOutput }) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const singers = await openOutput(show, 4);
  await takeSteps(page, wall, 1);
  await settled(singers, 2);
  const [wallThen, singersThen] = [await shoot(wall), await shoot(singers)];
  await page.keyboard.press("n");
  await page.keyboard.type("Slower, please");
  await page.keyboard.press("Enter");
  await settled(singers, 3);
  await settled(wall, 3);
  expect(largestDifference(await shoot(singers), singersThen)).toBeGreaterThan(100);
  expect(largestDifference(await shoot(wall), wallThen)).toBeLessThanOrEqual(LAYER_ROUNDING);
  await expect(page.getByText("To the stage: “Slower, please”")).toBeVisible();
  await page.keyboard.press("n");
  await page.keyboard.press("Enter");
  await settled(singers, 4);
  await expect(page.getByText(/To the stage: “/)).toHaveCount(0);
});

test("cues come together, follow by themselves, and an action clears: set up and run by the interface", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "prepare");
  await openCue(page, "cue-0002");
  await page.getByText("By itself, timing and notes").click();
  await page.getByRole("combobox", { name: "How it starts" }).selectOption({ label: "with the cue before" });
  await saved(page);
  await openCue(page, "cue-0003");
  await page.getByText("By itself, timing and notes").click();
  await page.getByRole("combobox", { name: "How it starts" }).selectOption({ label: "after the cue before" });
  const seconds = page.getByRole("spinbutton", { name: "Seconds after the cue before, s" });
  await seconds.fill("1.5");
  await seconds.press("Enter");
  await saved(page);
  // After it: off with the words, by an action.
  await page.getByRole("button", { name: "Empty page" }).click();
  await page.getByRole("menuitem", { name: "Action or wait" }).click();
  await page.getByRole("group", { name: "Takes off" }).getByRole("button", { name: "Words" }).click();
  await page.getByText("By itself, timing and notes").click();
  await page.getByRole("combobox", { name: "How it starts" }).selectOption({ label: "after the cue before" });
  await seconds.fill("600");
  await seconds.press("Enter");
  await saved(page);
  await goTo(page, "Run");
  await page.keyboard.press("Space");
  // Backdrop, corner, what is due; then the title by itself, and what is due after it.
  await expect(page.getByRole("list", { name: "Next by itself" })).toContainText(
    /Layers out\s*comes in 9:\d\d/,
  );
  await expect(page.locator("[data-mark=air]", { hasText: "Lantern Evening" })).toHaveCount(1);
  await expect(page.locator("[data-mark=next]")).toContainText("takes off words");
  await page.keyboard.press("Space");
  await expect(page.locator("[data-mark=air]", { hasText: "Lantern Evening" })).toHaveCount(0);
  // What it takes off and where the line goes are two events: they come one after the other.
  await expect(page.locator("[data-mark=next]")).toContainText("Ilse Tarrow");
});

test("a rehearsal is on no screen, says so on every view, and leaves the air as it was", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeSteps(page, wall, 3);
  const seq = await seqOf(wall);
  const picture = await shoot(wall);
  await page.getByRole("button", { name: "rehearse", exact: true }).click();
  await expect(page.getByText(/what is taken here is on no screen/)).toBeVisible();
  for (let i = 0; i < 3; i++) await page.keyboard.press("Space");
  await expect(page.locator("[data-mark=air]", { hasText: "we carry down" })).toContainText("REHEARSED");
  expect(await seqOf(wall)).toBe(seq);
  expect(largestDifference(await shoot(wall), picture)).toBeLessThanOrEqual(LAYER_ROUNDING);
  // One screen is given the rehearsal to show, and gets the air back with the rest.
  await page.getByRole("checkbox", { name: "Loft wall" }).check();
  await expect(page.getByText(/^REHEARSAL, shown on Loft wall/)).toBeVisible();
  await settled(wall, seq + 3);
  expect(largestDifference(await shoot(wall), picture)).toBeGreaterThan(100);
  // Loaded again, the desk still rehearses: nobody takes to the air unawares.
  await page.reload();
  await expect(page.getByText(/^REHEARSAL, shown on Loft wall/)).toBeVisible();
  await expect(page.locator("[data-mark=air]", { hasText: "we carry down" })).toContainText("REHEARSED");
  await goTo(page, "Timing");
  await page.getByRole("button", { name: "Log" }).click();
  await page.getByRole("button", { name: "In rehearsal" }).click();
  await expect(page.getByRole("row")).toHaveCount(4);
  await expect(page.getByRole("row", { name: /Take Carry the Lamp Down .* we carry down/ })).toBeVisible();
  await page.getByRole("button", { name: "Back to the air" }).click();
  await settled(wall, seq);
  expect(largestDifference(await shoot(wall), picture)).toBeLessThanOrEqual(LAYER_ROUNDING);
  await expect(page.getByText(/what is taken here/)).toHaveCount(0);
  await goTo(page, "Run");
  await expect.poll(async () => (await marked(page, "next")).join()).toContain("Ilse Tarrow");
  await takeSteps(page, wall, 1);
});

test("two desks see each other's arm, a watching one does nothing, a locked one only takes", async ({
  page,
  show,
  browser,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const other = await anotherDesk(browser, show);
  await other.keyboard.press("ArrowDown");
  await expect(page.getByText("armed by Desk 2")).toBeVisible();
  await expect(page.getByText("NEXT · ARMED")).toBeVisible();
  await other.getByRole("button", { name: "only watch" }).click();
  await other.keyboard.press("Space");
  await expect(other.getByText("This desk only watches")).toBeVisible();
  expect(await seqOf(wall)).toBe(2);
  const locked = page.getByText("LOCKED", { exact: true });
  await hold(page, "l", () => expect(locked).toBeVisible());
  await page.keyboard.press("u");
  await expect(page.getByText("The desk is locked")).toBeVisible();
  await takeSteps(page, wall, 1);
  await hold(page, "l", () => expect(locked).toHaveCount(0));
  await other.context().close();
});

test("sections are armed by number, the chorus by its key, and one step back by another @long", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeToSong(page, wall);
  await page.keyboard.press("Alt+Digit3");
  await expect(page.locator("[data-mark=next]")).toContainText("The ropewalk and the kiln are lit");
  await page.keyboard.press("r");
  await expect(page.locator("[data-mark=next]")).toContainText("Carry the lamp down, carry it low");
  await takeSteps(page, wall, 1);
  await page.keyboard.press("Backspace");
  await expect(page.locator("[data-mark=next]")).toContainText("we carry down the little lamps");
});

test("several cues are marked, copied, pasted, deleted as one, and come back from the bin @long", async ({
  page,
  show,
  context,
}) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  await openDesk(page, show, "prepare");
  const count = Number(await page.locator("[data-cue]").first().getAttribute("aria-setsize"));
  await openCue(page, "cue-0003");
  await page
    .locator("[data-cue=cue-0004] [aria-pressed]")
    .first()
    .click({ modifiers: ["Shift"] });
  await page.keyboard.press("Control+c");
  await expect(page.getByText("2 cues are copied.")).toBeVisible();
  await page.keyboard.press("Control+v");
  await expectCues(page, count + 2);
  await page.keyboard.press("Control+z");
  await expectCues(page, count);
  await openCue(page, "cue-0003");
  await page
    .locator("[data-cue=cue-0004] [aria-pressed]")
    .first()
    .click({ modifiers: ["Shift"] });
  await page.keyboard.press("Delete");
  await expectCues(page, count - 2);
  await page.getByRole("button", { name: "Bin: cues that were deleted" }).click();
  await expect(page.getByRole("region", { name: "Bin" }).getByText("Ilse Tarrow")).toBeVisible();
  await page
    .getByRole("region", { name: "Bin" })
    .getByRole("button", { name: /Put .* back/ })
    .first()
    .click();
  await expectCues(page, count - 1);
});

test("the evening is held against its plan @long", async ({ page, show, openOutput }) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await expect(page.getByText(/Begins in|Late to begin/)).toBeVisible();
  await arm(page, page.locator('[data-step^="cue-0005/V1"]').first());
  await page.keyboard.press("Space");
  await settled(wall, 3);
  // Planned for 3:20, and just begun.
  const strip = page.getByRole("region", { name: "How the evening stands" });
  await expect(strip).toContainText(/left 3:(1\d|20)/);
  await goTo(page, "Timing");
  await expect(page.getByRole("row", { name: /^5 · Carry the Lamp Down/ })).toContainText("3:20");
  await expect(page.getByRole("img", { name: "Planned and actual length of every cue" })).toBeVisible();
});
