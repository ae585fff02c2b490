import { brightness, shoot } from "./support/pixels.ts";
import {
  anotherDesk,
  chooseCue,
  cueButton,
  cueRow,
  expect,
  expectCues,
  goTo,
  openDesk,
  output,
  saved,
  scrollTo,
  seqOf,
  settled,
  takeSteps,
  test,
} from "./support/show.ts";

const SONG =
  "Verse 1\nRow for the morning\nrow for the tide\nrow for the lantern\nwe left on the side\n\nChorus\nHeave and away\nheave and away\n\nVerse 2\nNine bells are ringing\nno wind at all\n\nChorus\n";

const DEMO_CUES = 42;

test("from an empty show to words on two screens in a few presses", async ({
  page,
  emptyShow,
  openOutput,
}) => {
  await openDesk(page, emptyShow);
  await expect(page.getByText("The script is empty.")).toBeVisible();
  await page.getByRole("link", { name: "Prepare the rundown" }).click();
  const box = page.getByRole("textbox", { name: /Add to the rundown/ });
  await box.fill(SONG);
  await expect(page.getByText("song: Row for the morning, 5 steps")).toBeVisible();
  await box.press("Alt+Enter");
  await expect(page.locator("[data-cue]")).toHaveCount(1);
  await box.fill("Ps 107:23-30");
  await expect(page.getByText(/reading: Psalm 107:23–30, 8 steps/)).toBeVisible();
  await box.press("Enter");
  await box.fill("Ilse Tarrow, net mender");
  await expect(page.getByText(/name strap: Ilse Tarrow/)).toBeVisible();
  await box.press("Enter");
  await expect(page.locator("[data-cue]")).toHaveCount(3);

  const wall = await openOutput(emptyShow, 0);
  const stream = await openOutput(emptyShow, 1);
  await goTo(page, "Run");
  await page.locator("body").press("Space");
  await settled(wall, 2);
  await settled(stream, 2);
  expect(brightness(await shoot(wall))).toBeGreaterThan(1);
  expect(brightness(await shoot(stream))).toBeGreaterThan(1);
  await takeSteps(page, wall, 13);
  await expect(
    page.locator("[data-mark=air]", { hasText: "so he brings them to their desired haven" }),
  ).toBeVisible();
});

test("cues are moved by keys and by dragging, duplicated and deleted, and every step undone", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "prepare");
  const titles = () =>
    page.locator("[data-cue] [aria-pressed] > span:first-child").filter({ hasText: "·" }).allInnerTexts();
  const start = (await titles()).slice(0, 5);
  await expectCues(page, DEMO_CUES);
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("Alt+ArrowUp");
  await expect.poll(titles).toEqual(expect.arrayContaining(["2 · Lantern Evening", "3 · Merrow Quay"]));
  await page.keyboard.press("d");
  await expect
    .poll(async () => (await titles()).filter((title) => title.includes("Lantern Evening")))
    .toHaveLength(2);
  await page.keyboard.press("Delete");
  await expectCues(page, DEMO_CUES);

  // The open cue is tall: another one is opened, so that both handles are in sight.
  await (await scrollTo(page, cueButton(page, "cue-0010"))).click();
  const handle = page.getByRole("button", { name: "Move Night harbour" });
  await scrollTo(page, handle);
  const target = page.getByRole("button", { name: "Move Merrow Quay" });
  await expect(target).toBeInViewport({ ratio: 1 });
  const from = await handle.boundingBox();
  const to = await target.boundingBox();
  if (!from || !to) throw new Error("the handles are not there");
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2 + 20, { steps: 4 });
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 12 });
  await page.mouse.up();
  await expect
    .poll(async () => (await titles()).slice(0, 3))
    .toEqual(["1 · Lantern Evening", "2 · Merrow Quay", "3 · Night harbour"]);

  await page.locator("body").click({ position: { x: 1000, y: 20 } });
  for (let i = 0; i < 4; i++) {
    await page.keyboard.press("Control+z");
    await expect(page.getByText(/^Undid/)).toBeVisible();
    await page.getByRole("button", { name: "Put this message away" }).click();
    await page.locator("body").click({ position: { x: 1000, y: 20 } });
  }
  await expect.poll(async () => (await titles()).slice(0, 5)).toEqual(start);
});

test("the chosen cue is in sight with its name, however fast one goes through the rundown", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "prepare");
  const nameOf = (number: number) =>
    page
      .locator("[data-selected=true] [aria-pressed] > span:first-child", { hasText: `${number} ·` })
      .first();
  await expect(nameOf(1)).toBeInViewport();
  for (let number = 2; number <= DEMO_CUES; number++) {
    await page.keyboard.press("ArrowDown");
    await expect(nameOf(number)).toBeInViewport();
  }
  for (let number = DEMO_CUES; number > 1; number--) await page.keyboard.press("ArrowUp");
  await expect(nameOf(1)).toBeInViewport();
});

test("a song's own number of lines divides it anew, at once and on the screens", async ({ page, show }) => {
  await openDesk(page, show, "prepare");
  await chooseCue(page, "cue-0005");
  await expect(page.getByText("Step 1 of 12")).toBeVisible();
  await page.getByRole("spinbutton", { name: "Two-line band" }).fill("1");
  await expect(page.getByText("Step 1 of 24")).toBeVisible();
  await page.getByRole("spinbutton", { name: "Full words" }).fill("2");
  await expect(page.getByText("12 slides")).toBeVisible();
  await saved(page);
});

test("a crawl's speed is said in one figure for its page, and the others follow on every screen", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "prepare");
  await (await scrollTo(page, cueButton(page, "cue-0014"))).click();
  const pictures = page.getByRole("region", { name: "On every screen" });
  const facts = pictures.getByText(/px a frame, \d+ px\/s, one pass/);
  await expect(facts.first()).toBeVisible();
  const asMade = await facts.allInnerTexts();
  const speed = page.getByRole("combobox", { name: "Notices go" });
  await speed.selectOption({ label: "seconds for one pass" });
  const seconds = page.getByRole("spinbutton", { name: "Notices, seconds for one pass" });
  // It begins with what it is now on the first screen.
  expect(asMade[0]).toContain(`one pass ${(await seconds.inputValue()).replace(/^(\d+)$/, "$1.0")} s`);
  await seconds.fill("20");
  await seconds.press("Enter");
  await expect(pictures.getByText("one pass 20.0 s")).toHaveCount(asMade.length);
  await speed.selectOption({ label: "pixels a frame" });
  const px = page.getByRole("spinbutton", { name: "Notices, pixels a frame" });
  await expect(facts.first()).toContainText(`${Number(await px.inputValue()).toFixed(2)} px a frame`);
  await page.getByRole("button", { name: "put back" }).click();
  await expect(speed).toHaveValue("");
  await expect.poll(() => facts.allInnerTexts()).toEqual(asMade);
});

test("what is typed is saved as it is typed, and is there after the window was closed", async ({
  page,
  show,
  browser,
}) => {
  await openDesk(page, show, "prepare");
  await chooseCue(page, "cue-0004");
  await page.keyboard.press("n");
  await page.keyboard.press("Escape");
  await page.keyboard.press("Enter");
  const name = page.getByRole("textbox", { name: "Name", exact: true });
  await expect(name).toBeFocused();
  await name.fill("Ilse Tarrow-Quell");
  await saved(page);
  await page.close();
  const again = await anotherDesk(browser, show, "prepare");
  await expect(cueRow(again, "cue-0004")).toContainText("Ilse Tarrow-Quell");
  await again.context().close();
});

test("the same cue in two windows: the later one sees the newer words, and no words are lost", async ({
  page,
  show,
  browser,
}) => {
  await openDesk(page, show, "prepare");
  const other = await anotherDesk(browser, show, "prepare");
  for (const window of [page, other]) await chooseCue(window, "cue-0004");
  await other.getByRole("textbox", { name: "Role", exact: true }).fill("keeper of nets");
  await expect(page.getByRole("textbox", { name: "Role", exact: true })).toHaveValue("keeper of nets");
  // Both type at once: whoever is later is asked.
  await page.route(
    "**/edit",
    async (route) => {
      await other.getByRole("textbox", { name: "Role", exact: true }).fill("theirs");
      await saved(other);
      await route.continue();
    },
    { times: 1 },
  );
  await page.getByRole("textbox", { name: "Role", exact: true }).fill("mine");
  await expect(page.getByText(/changed somewhere else while you typed/)).toBeVisible();
  await expect(page.getByRole("textbox", { name: "Role", exact: true })).toHaveValue("mine");
  await page.getByRole("button", { name: "Keep mine" }).click();
  await expect(other.getByRole("textbox", { name: "Role", exact: true })).toHaveValue("mine");
  await other.context().close();
});

test("bad input is told in a sentence, and nothing is added or lost", async ({ page, show, openOutput }) => {
  await openDesk(page, show, "prepare");
  const wall = await openOutput(show, 0);
  const seq = await seqOf(wall);
  const box = page.getByRole("textbox", { name: /Add to the rundown/ });
  for (const [typed, sentence] of [
    ["Ps 151:2", "There is no Psalm 151"],
    ["Hezekiah 3:1", "There is no book called “Hezekiah”"],
    ["Ps 107:30-23", "runs backwards"],
    ["Ps 117:9", "Psalm 117 has no verse 9; it has 2 verses."],
  ] as const) {
    await box.fill(typed);
    await box.press("Alt+Enter");
    await expect(page.getByText(sentence)).toBeVisible();
    await expect(box).toHaveValue(typed);
  }
  await box.fill("");
  await box.evaluate((element) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData("text/plain", "line\n".repeat(20_000));
    element.dispatchEvent(new ClipboardEvent("paste", { clipboardData, bubbles: true, cancelable: true }));
  });
  await expect(page.getByText("The text has 20,001 lines; a song may have 1,000")).toBeVisible();
  await expect(box).toHaveValue("");
  await expectCues(page, DEMO_CUES);
  // Control characters are cleaned away, no sections is one section.
  await box.fill("la\u0007 la\nlo\u0000 lo");
  await box.press("Alt+Enter");
  await expectCues(page, DEMO_CUES + 1);
  // An empty field keeps the cue in the rundown and out of the running order.
  await page.getByRole("button", { name: "Empty page" }).click();
  await page.getByRole("menuitem", { name: "Name strap" }).click();
  await expect(page.getByText("The name is empty. Fill it in and the page can be taken.")).toBeVisible();
  expect(await seqOf(wall)).toBe(seq);
  await expect(output(wall)).toHaveAttribute("data-connection", "open");
});
