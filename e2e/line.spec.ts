import type { Page } from "@playwright/test";
import { brightness, shoot } from "./support/pixels.ts";
import {
  anotherDesk,
  arm,
  chooseCue,
  expect,
  goTo,
  hold,
  marked,
  openDesk,
  saved,
  seqOf,
  settled,
  takeSteps,
  takeToSong,
  test,
} from "./support/show.ts";

const step = (page: Page, id: string) => page.locator(`[data-step^="${id}"]`).first();
const undoLine = (page: Page) => page.getByRole("region", { name: "Air" });

/** Holds a guarded key until it has acted. */
async function holdKey(page: Page, key: string, acted: () => Promise<void>): Promise<void> {
  await page.keyboard.down(key);
  await acted();
  await page.keyboard.up(key);
}

test("a strap taken out of order during a song is an aside: line, next and arm stay, until a press goes on from it", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeToSong(page, wall);
  await arm(page, step(page, "cue-0005/B"));
  await page.keyboard.press("f");
  await page.keyboard.type("Noor Halvard");
  await expect(page.getByRole("option", { name: /Noor Halvard/ }).first()).toBeVisible();
  const seq = await seqOf(wall);
  await page.keyboard.press("Control+Enter");
  await settled(wall, seq + 1);

  // On air in the script, and the song is as it was: its bridge is next and armed.
  await expect.poll(async () => (await marked(page, "air")).join()).toContain("Noor Halvard");
  await expect.poll(async () => (await marked(page, "next")).join()).toContain("NEXT · ARMED");
  await expect(step(page, "cue-0005/B")).toHaveAttribute("data-mark", "next");
  await expect(page.locator("[data-forecast]")).toContainText("Carry the Lamp Down");
  await page.keyboard.press("Space");
  await expect(step(page, "cue-0005/B")).toHaveAttribute("data-mark", "air");
  await settled(wall, seq + 2);
  // Backspace and the chorus still mean the song.
  await page.keyboard.press("r");
  await expect(page.locator('[data-step^="cue-0005/C"][data-mark=next]')).toBeVisible();
  await page.keyboard.press("Home");
  await page.keyboard.press("g");
  await expect(page.locator('[data-step^="cue-0011"][data-mark=next]')).toBeVisible();
  // That was an act like any other.
  await expect(undoLine(page)).toContainText("U puts back: go on from here");
});

test("every act can be undone by name; black shuts the rest and back opens what it shut; the stage keeps its words", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const singers = await openOutput(show, 4);
  await takeToSong(page, wall);
  const words = brightness(await shoot(wall));
  let seq = await seqOf(wall);
  await page.keyboard.press("o");
  await settled(wall, ++seq);
  await expect(undoLine(page)).toContainText("U puts back: Words out");
  await page.keyboard.press("Shift+Digit2");
  await settled(wall, ++seq);
  await expect(undoLine(page)).toContainText("U puts back: plan Walk");
  await page.keyboard.press("u");
  await settled(wall, ++seq);
  await page.keyboard.press("u");
  await settled(wall, ++seq);
  expect(Math.abs(brightness(await shoot(wall)) - words)).toBeLessThan(0.5);

  // A clicker’s key is short.
  await page.keyboard.press("b");
  await settled(wall, ++seq);
  await expect(page.getByText("BLACK: Loft wall, Stream, Quay ribbon, Porch")).toBeVisible();
  expect(brightness(await shoot(wall))).toBe(0);
  expect(brightness(await shoot(singers))).toBeGreaterThan(1);
  await page.keyboard.press("u");
  await settled(wall, ++seq);
  expect(brightness(await shoot(wall))).toBeGreaterThan(1);

  // A digit of a layer that stays is held; a short press does nothing.
  await page.keyboard.press("Digit1");
  await page.keyboard.press("u");
  await settled(wall, ++seq);
  await expect(page.getByText(/U puts back: take of/)).toBeVisible();
  await holdKey(page, "Digit1", async () => {
    await settled(wall, ++seq);
  });
  await expect(undoLine(page)).toContainText("U puts back: Backdrop out");
});

test("a page on one screen alone is taken off it alone; a screen whose plan hides the words says so @long", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "prepare");
  await chooseCue(page, "cue-0004");
  for (const name of ["Loft wall", "Quay ribbon", "Porch", "Singers"])
    await page.getByRole("button", { name, exact: true, pressed: true }).click();
  await saved(page);
  await openDesk(page, show);
  const stream = await openOutput(show, 1);
  await takeSteps(page, stream, 4);
  const seq = await seqOf(stream);
  await page.getByRole("button", { name: "Stream out" }).click();
  await settled(stream, seq + 1);
  await expect(page.getByRole("button", { name: "Stream out" })).toHaveCount(0);
  await takeSteps(page, stream, 1);
  await page.keyboard.press("Shift+Digit2");
  await expect(page.getByText("Words on air, not shown here").first()).toBeVisible();
});

test("words on air are edited in Run with the caret at their line; chords take, held words stand beside, Escape returns", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeToSong(page, wall);
  await takeSteps(page, wall, 1);
  const seq = await seqOf(wall);
  // A desk may be told after the wall, and it edits what it knows to be on air.
  const row = page.locator("[data-mark=air]", { hasText: "we carry down" });
  await expect(row).toBeVisible();
  await page.keyboard.press("e");
  const words = page
    .getByRole("region", { name: "Edit what is on air" })
    .getByRole("textbox", { name: "Words" });
  await expect(words).toBeFocused();
  const before = await words.evaluate(
    (box: HTMLTextAreaElement) => box.value.slice(box.selectionStart).split("\n")[0],
  );
  expect(before).toContain("we carry down the little lamps");
  await page.keyboard.type("and ");
  await expect(page.getByText("held: ")).toBeVisible();
  await expect(row).toContainText("and we carry down");
  expect(await seqOf(wall)).toBe(seq);
  await page.keyboard.press("Control+Shift+KeyS");
  await settled(wall, seq + 1);
  await expect(page.getByText("held: ")).toHaveCount(0);
  await page.keyboard.press("Control+Enter");
  await settled(wall, seq + 2);
  // Letters belong to the box, and the bar says so.
  await expect(page.getByText(/Keys go to “Words”/)).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(words).toHaveCount(0);
  await page.keyboard.press("Space");
  await settled(wall, seq + 3);
});

test("the plan in use is changed as a draft, and used when it is held; what only watches does nothing, on the server too, over a reload", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "screens");
  const wall = await openOutput(show, 0);
  const seq = await seqOf(wall);
  await page.getByRole("button", { name: "Backdrop", exact: true }).first().click();
  await expect(page.getByRole("img", { name: "On Loft wall under this plan" })).toBeVisible();
  await expect(page.getByText("in use as it was")).toBeVisible();
  expect(await seqOf(wall)).toBe(seq);
  await hold(page, page.getByRole("button", { name: "Use these changes" }), () => settled(wall, seq + 1));
  await page.getByRole("button", { name: "Bars", exact: true }).click();
  // The notice that takes it back goes away by itself: it is used before anything is waited for.
  await page
    .getByRole("status")
    .or(page.locator("[aria-live=polite]"))
    .getByRole("button", { name: "Undo" })
    .click();
  await settled(wall, seq + 3);

  await openDesk(page, show);
  await page.getByRole("button", { name: "only watch" }).click();
  await page.reload();
  await expect(page.getByText("WATCHING")).toBeVisible();
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
  await page.keyboard.press("Space");
  await expect(page.getByText(/only watches, so nothing was done/)).toBeVisible();
  expect(await seqOf(wall)).toBe(seq + 3);
  const answer = await page.evaluate(async () => {
    const desk = sessionStorage.getItem("vesko-desk-window") ?? "";
    const response = await fetch("/licence", {
      method: "POST",
      headers: { "Content-Type": "application/json", "X-Vesko-Desk": desk },
      body: JSON.stringify({ licence: "none of ours" }),
    });
    return response.status;
  });
  expect(answer).toBe(403);
});

test("a server that stands still is told within a second or two, and again when it goes on @long", async ({
  page,
  show,
}) => {
  await openDesk(page, show);
  process.kill(show.processId, "SIGSTOP");
  await expect(page.getByText(/no answer for \d+ s/)).toBeVisible({ timeout: 4_000 });
  process.kill(show.processId, "SIGCONT");
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
});

test("what is next can be enlarged, its clock runs, and no air key is swallowed meanwhile @long", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await arm(page, page.locator('[data-step^="cue-0026"]').first());
  await page.getByRole("button", { name: "Enlarge what is next on Loft wall" }).click();
  const large = page.getByRole("img", { name: "On Loft wall after the next take, enlarged" });
  await expect(large).toBeVisible();
  await expect.poll(async () => brightness(await shoot(large))).toBeGreaterThan(1);
  const first = (await large.screenshot()).toString("base64");
  await expect.poll(async () => (await large.screenshot()).toString("base64") !== first).toBe(true);
  const seq = await seqOf(wall);
  await page.keyboard.press("Space");
  await settled(wall, seq + 1);
});

test("the first evening: fewer than ten presses from the command to words on two screens", async ({
  page,
  emptyShow,
  openOutput,
}) => {
  let presses = 0;
  await page.goto(`${emptyShow.base}/`);
  await expect(page.getByRole("heading", { name: /^Welcome/ })).toBeVisible();
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
  presses++;
  await page.getByRole("button", { name: "Make the first evening" }).click();
  await expect(page.getByRole("main", { name: "Script" })).toBeVisible();
  // A press each opens a screen.
  presses += 2;
  const wall = await openOutput(emptyShow, 0);
  const stream = await openOutput(emptyShow, 1);
  // The wall is not black before anything was pressed.
  await expect.poll(async () => brightness(await shoot(wall))).toBeGreaterThan(1);
  const seq = await seqOf(wall);
  presses++;
  await page.keyboard.press("Space");
  await settled(wall, seq + 1);
  await settled(stream, seq + 1);
  await expect(page.locator("[data-mark=air]", { hasText: "Leave a light" })).toBeVisible();
  expect(presses).toBeLessThan(10);
});

test("dates and times are as the venue's language writes them, on every desk at once", async ({
  page,
  show,
  browser,
}) => {
  await openDesk(page, show);
  const other = await anotherDesk(browser, show);
  await goTo(other, "Timing");
  const begins = other.getByRole("textbox", { name: "The evening begins at" });
  await expect(begins).toHaveValue("19:00");
  await page.getByRole("button", { name: "Keys and settings" }).click();
  await page.getByLabel("Dates and times, on every desk").selectOption("en-US");
  await expect(page.getByRole("banner").getByRole("time")).toHaveText(/^\d{1,2}:\d\d:\d\d\s[AP]M$/);
  await expect(begins).toHaveValue(/^7:00\sPM$/);
  await expect(other.getByRole("banner").getByRole("time")).toHaveText(/[AP]M$/);
  // Typed either way, it is the same time.
  await begins.fill("19:30");
  await begins.press("Enter");
  await expect(begins).toHaveValue(/^7:30\sPM$/);
  await begins.fill("soon");
  await begins.press("Enter");
  await expect(begins).toHaveValue(/^7:30\sPM$/);
  await page.getByLabel("Dates and times, on every desk").selectOption("en-GB");
  await expect(begins).toHaveValue("19:30");
  await other.context().close();
});
