import type { Page } from "@playwright/test";
import { RunningMixer } from "./support/mixer.ts";
import { expect, goTo, openDesk, output, test } from "./support/show.ts";

const clipIn = (page: Page) => page.getByRole("region", { name: "Clip", exact: true });
const layers = (page: Page) => page.getByRole("region", { name: "Layers" });
const xml = (name: string, text: string) => ({ name, mimeType: "text/xml", buffer: Buffer.from(text) });

/** Says by hand that the player is on program. */
async function clipsToProgram(page: Page): Promise<void> {
  await page.getByTitle("Says by hand that “Clips” is on program").click();
  await expect(page.getByRole("button", { name: "PROGRAM", exact: true })).toBeVisible();
}

test("a film plays on an output with its title at its time, and the next begins by itself", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "triggers");
  const stream = await openOutput(show, 1, "?over=picture");
  await clipsToProgram(page);
  await expect(output(stream)).toHaveAttribute("data-program", "clips");
  await goTo(page, "Run");
  await expect(clipIn(page)).toContainText("No clip plays");
  // What comes next is fetched before it begins.
  const fetched = () =>
    stream.evaluate(
      () =>
        new Set(
          performance
            .getEntriesByType("resource")
            .filter((entry) => (entry as PerformanceResourceTiming).initiatorType === "video")
            .map(({ name }) => name),
        ).size,
    );
  await expect.poll(fetched).toBe(1);
  await page.keyboard.press("v");
  // It runs there, where the clock has it.
  const film = stream.locator("video").first();
  await expect.poll(() => film.evaluate((video: HTMLVideoElement) => video.currentTime)).toBeGreaterThan(0.5);
  const isMute = () => film.evaluate((video: HTMLVideoElement) => video.muted);
  expect(await isMute()).toBe(true);
  await expect(layers(page)).toContainText("A film");
  await expect(layers(page)).not.toContainText("A film");
  await expect(clipIn(page)).toContainText("The first paper boat");
  await expect(clipIn(page)).toContainText("over");
  // Another is begun where the clips are; it goes round, so that it is never over. It is heard where sound is on now.
  await openDesk(page, show, "screens");
  await page.getByRole("button", { name: "2 · Stream" }).click();
  await page.getByRole("checkbox", { name: "Clips are heard here" }).click();
  await page.goto(`${show.base}/clips`);
  await page.getByRole("button", { name: /^Play “.*arbour.*”$/ }).click();
  await expect(page.getByRole("timer", { name: "Left of the clip" })).toHaveText(/0:0[1-9]/);
  await expect.poll(isMute).toBe(false);
  // The window becomes a full screen: it is still heard.
  await stream.setViewportSize({ width: 1280, height: 720 });
  await expect.poll(() => film.evaluate((video) => video.clientWidth)).toBe(1_280);
  await expect.poll(isMute).toBe(false);
  // One key has it stand, and go on.
  await goTo(page, "Run");
  await expect(clipIn(page)).toContainText("goes round and round");
  await page.keyboard.press("v");
  await expect(clipIn(page)).toContainText("paused");
  await page.keyboard.press("v");
  await expect(clipIn(page)).not.toContainText("paused");
  await page.getByRole("button", { name: "Stop the clip" }).click();
  await expect(clipIn(page)).toContainText("No clip plays");
});

test("what the files beside clips say goes to the clips that they are called like; what is broken changes nothing", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "clips");
  await page.getByRole("button", { name: "Add" }).click();
  await page.getByRole("menuitem", { name: /Paper boat/ }).click();
  await expect(page.getByRole("textbox", { name: "Name", exact: true })).toHaveValue("Paper boat");
  await expect(page.getByText("Nothing yet. An XML file")).toBeVisible();
  await page.getByRole("textbox", { name: "Name", exact: true }).fill("Лодка");
  await page.getByRole("textbox", { name: "Name", exact: true }).press("Tab");
  await expect(page.getByRole("list", { name: "Clips" })).toContainText("Лодка");
  const files = page.getByText("XML files").locator("input");
  const bomb = `<!DOCTYPE a [<!ENTITY b "x"><!ENTITY c "&b;&b;">]><a>&c;</a>`;
  for (const [name, text, why] of [
    ["Лодка.xml", "<film><heading>never closed</film>", /not whole XML/],
    ["Лодка.xml", bomb, /document type/],
    ["nowhere.xml", "<film><heading>x</heading></film>", /no clip of the list is called so/],
  ] as const) {
    await files.setInputFiles([xml(name, text)]);
    await expect(page.getByRole("alert").or(page.getByText(why)).first()).toContainText(why);
  }
  await expect(page.getByText("Nothing yet. An XML file")).toBeVisible();
  await files.setInputFiles([
    xml("Лодка.XML", "<film><heading>Бумажная лодка</heading><year>2026</year></film>"),
  ]);
  // The mapping that knows its elements is found by itself.
  await expect(page.getByRole("list", { name: "Clips" })).toContainText("Бумажная лодка");
  await expect(page.getByRole("row").filter({ hasText: "2026" })).toBeVisible();
  // Another field of the same file, under a name of one's own, is kept with the mapping.
  await page.getByRole("textbox", { name: "Name of the field “year”" }).fill("made in");
  await page.getByRole("textbox", { name: "Name of the field “year”" }).press("Tab");
  // A whole file of another maker comes in, and that its fields are empty now is said.
  const other = "<rss><item><title>One</title></item></rss>";
  await page
    .getByText("Bring its XML file again")
    .locator("input")
    .setInputFiles([xml("other.xml", other)]);
  await expect(page.getByText(/has no element of “Film circle”/)).toBeVisible();
  await expect(page.getByRole("list", { name: "Clips" })).not.toContainText("Бумажная лодка");
  await files.setInputFiles([xml("Лодка.xml", "<film><heading>Бумажная лодка</heading></film>")]);
  await expect(page.getByRole("list", { name: "Clips" })).toContainText("Бумажная лодка");
  await page.reload();
  await page
    .getByRole("button", { name: /Бумажная лодка/ })
    .first()
    .click();
  await expect(page.getByRole("textbox", { name: "Name of the field “made in”" })).toBeVisible();
});

test("a player beside the mixer says what it plays: its clip and what is left stand in Run", async ({
  page,
  show,
}) => {
  const mixer = await RunningMixer.start(show);
  try {
    await openDesk(page, show);
    await mixer.do("play", "Paper boat");
    await expect(clipIn(page)).toContainText("The first paper boat");
    await expect(clipIn(page)).toContainText("on the player");
    await expect(page.getByRole("timer", { name: "Left of the clip" })).toHaveText(/0:[1-3]\d/);
    await mixer.do("pause");
    await expect(clipIn(page)).toContainText("paused");
    await mixer.do("stop");
    await expect(clipIn(page)).toContainText("No clip plays");
  } finally {
    await mixer.kill();
  }
});

test("now, next and later are a feed that follows the script and the clips", async ({ page, show }) => {
  await openDesk(page, show);
  await page.keyboard.press("f");
  await page.getByRole("combobox").fill("Carry the Lamp Down");
  await expect(page.getByRole("option").first()).toBeVisible();
  await page.keyboard.press("Control+Enter");
  await expect(layers(page)).toContainText("Carry the Lamp Down");
  await page.goto(`${show.base}/feeds`);
  await page.getByRole("button", { name: /Now and next/ }).click();
  const row = (name: string) => page.getByRole("row").filter({ has: page.getByText(name, { exact: true }) });
  await expect(row("now")).toContainText("Carry the Lamp Down");
  await expect(row("next")).toContainText("Psalm 107:23–30");
  await page.goto(`${show.base}/clips`);
  await page.getByRole("button", { name: "Play “The first paper boat”", exact: true }).click();
  await page.goto(`${show.base}/feeds`);
  await page.getByRole("button", { name: /Now and next/ }).click();
  await expect(row("now")).toContainText("The first paper boat");
  await goTo(page, "Run");
});
