import type { Locator, Page } from "@playwright/test";
import { strToU8, zipSync } from "fflate";
import { brightness, shoot } from "./support/pixels.ts";
import type { RunningShow } from "./support/runningShow.ts";
import {
  arm,
  chooseCue,
  expect,
  goTo,
  marked,
  openDesk,
  output,
  saved,
  seqOf,
  settled,
  test,
} from "./support/show.ts";

const SONG =
  "Verse 1\nRow for the morning\nrow for the tide\nrow for the lantern\nwe left on the side\n\nChorus\nHeave and away\nheave and away\n\nVerse 2\nNine bells are ringing\nno wind at all\n\nChorus\n";

/** Puts text on the clipboard of a desk's browser. */
async function copy(page: Page, text: string): Promise<void> {
  await page.context().grantPermissions(["clipboard-read", "clipboard-write"]);
  await page.evaluate((words) => navigator.clipboard.writeText(words), text);
}
/** Pastes into the box that has the focus. */
const paste = (page: Page) => page.keyboard.press("Control+v");
const cue = (page: Page, name: string) => page.locator("[data-cue]").filter({ hasText: name });
const find = (page: Page) => page.getByRole("dialog", { name: "Find" });
const row = (page: Page, name: string | RegExp) => find(page).getByRole("option").filter({ hasText: name });

test("a pasted song is on two outputs in under ten key presses", async ({ page, emptyShow, openOutput }) => {
  await openDesk(page, emptyShow, "prepare");
  const wall = await openOutput(emptyShow, 0);
  const stream = await openOutput(emptyShow, 1);
  await copy(page, SONG);
  let presses = 0;
  const press = (key: string) => {
    presses++;
    return page.keyboard.press(key);
  };
  await press("n");
  await press("Control+v");
  await expect(page.getByText(/song: Row for the morning/)).toBeVisible();
  await press("Alt+Enter");
  await expect(cue(page, "Row for the morning")).toHaveAttribute("data-selected", "true");
  await press("Control+f");
  await expect(row(page, "Row for the morning")).toBeVisible();
  await press("Control+Enter");
  await settled(wall, 2);
  await settled(stream, 2);
  expect(presses).toBeLessThan(10);
  expect(brightness(await shoot(wall))).toBeGreaterThan(1);
  expect(brightness(await shoot(stream))).toBeGreaterThan(1);
});

test("a reference typed into Find is taken; words find the verse; a command is never an accident", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await page.keyboard.press("f");
  await page.keyboard.type("ps 23:1-3");
  // Pressed before the answer is here: it is done with what was meant.
  await page.keyboard.press("Control+Enter");
  await settled(wall, 2);
  await expect(page.locator("[data-mark=air]")).toContainText("Yahweh is my shepherd");
  const seq = await seqOf(wall);

  await page.keyboard.press("f");
  await page.keyboard.type("still waters");
  await expect(row(page, "Psalm 23:2")).toContainText("green pastures");
  await page.keyboard.press("Escape");
  await page.keyboard.press("f");
  await page.keyboard.type("ps 117:3");
  await expect(find(page)).toContainText("Psalm 117 has no verse 3; it has 2 verses.");
  await page.keyboard.press("Escape");
  await page.keyboard.press("f");
  await page.keyboard.type("take the next");
  await page.keyboard.press("Enter");
  await expect(page.getByText("press Ctrl+Enter for it")).toBeVisible();
  // The letters of what was typed, and Escape, did nothing to the air.
  expect(await seqOf(wall)).toBe(seq);

  // A step in the middle of a song is found by its words, and armed.
  await page.keyboard.press("f");
  await page.keyboard.type("the ropewalk and the kiln");
  await expect(row(page, "Carry the Lamp Down").first()).toBeVisible();
  await page.keyboard.press("Enter");
  await expect.poll(async () => (await marked(page, "next")).join()).toContain("ropewalk and the kiln");
  expect(await seqOf(wall)).toBe(seq + 1);
});

test("a song's words are changed for the event alone, or kept in the library", async ({ page, show }) => {
  await openDesk(page, show, "prepare");
  await chooseCue(page, "cue-0005");
  await expect(page.getByText("As in the library.")).toBeVisible();
  const words = page.getByRole("textbox", { name: "Words" });
  await words.fill((await words.inputValue()).replace("The tide has gone", "The moon has come"));
  await expect(page.getByText("Changed for this event")).toBeVisible();
  const firstLine = async () => {
    const other = await page.context().newPage();
    await other.goto(`${show.base}/songs?q=carry+the+lamp`);
    const text = await other.getByRole("button", { name: /Carry the Lamp Down/ }).innerText();
    await other.close();
    return text;
  };
  expect(await firstLine()).toContain("The tide has gone to fetch the moon");
  await page.getByRole("button", { name: "Keep these changes in the library" }).click();
  await expect(page.getByText("As in the library.")).toBeVisible();
  expect(await firstLine()).toContain("The moon has come to fetch the moon");
});

test("a song changed here and in the library: both are kept, and where they clash one is chosen", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "prepare");
  await chooseCue(page, "cue-0005");
  await expect(page.getByText("As in the library.")).toBeVisible();
  const here = page.getByRole("textbox", { name: "Words" });
  const library = await page.context().newPage();
  await openDesk(library, show, "songs");
  await library.getByRole("searchbox").fill("carry the lamp down");
  await library.getByRole("button", { name: /Carry the Lamp Down/ }).click();
  const there = library.getByRole("textbox", { name: "Words" });
  const change = async (words: Locator, from: string, to: string) => {
    await expect(words).toHaveValue(new RegExp(from));
    await words.fill((await words.inputValue()).replace(from, to));
  };
  const changeLibrary = async (from: string, to: string) => {
    const saved = library.waitForResponse((response) => response.url().endsWith("/song/save"));
    await change(there, from, to);
    expect((await saved).ok()).toBe(true);
  };
  const keep = async () => {
    await openDesk(page, show, "prepare");
    await chooseCue(page, "cue-0005");
    await expect(page.getByText("the library’s song has changed too")).toBeVisible();
    await page.getByRole("button", { name: "Keep these changes in the library" }).click();
  };

  await change(here, "The tide has gone", "The moon has come");
  await expect(page.getByText("Changed for this event")).toBeVisible();
  await changeLibrary("And if the wind", "And when the wind");
  await keep();
  await expect(page.getByText("Nothing clashes: both are kept.")).toBeVisible();
  await page.getByRole("button", { name: "Keep both in the library" }).click();
  await expect(page.getByText("As in the library.")).toBeVisible();
  await expect(here).toHaveValue(/The moon has come[\s\S]*And when the wind/);

  // The same line in both.
  await openDesk(library, show, "songs");
  await library.getByRole("searchbox").fill("carry the lamp down");
  await library.getByRole("button", { name: /Carry the Lamp Down/ }).click();
  await changeLibrary("The moon has come", "The star has come");
  await change(here, "The moon has come", "The sun has come");
  await expect(page.getByText("Changed for this event")).toBeVisible();
  await keep();
  await expect(page.getByText("One thing was changed in both; choose.")).toBeVisible();
  await page.getByRole("radio", { name: /^in the library/ }).check();
  await page.getByRole("button", { name: "Keep both in the library" }).click();
  await expect(page.getByText("As in the library.")).toBeVisible();
  await expect(here).toHaveValue(/The star has come/);
});

test("slides are parted by hand, by key and by pointer, and stay so while other words change", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "prepare");
  await chooseCue(page, "cue-0005");
  await expect(page.getByText("Step 1 of 12")).toBeVisible();
  const words = page.getByRole("textbox", { name: "Words" });
  const caretAt = (text: string) =>
    words.evaluate((box: HTMLTextAreaElement, wanted) => {
      box.focus();
      const at = box.value.indexOf(wanted);
      box.setSelectionRange(at, at);
    }, text);
  await caretAt("the slip is dark");
  await page.keyboard.press("Alt+Enter");
  // One step more: the first slide of every outfit is parted after its first line.
  await expect(page.getByText("Step 2 of 13")).toBeVisible();
  await words.fill((await words.inputValue()).replace("And if the wind", "And when the wind"));
  await saved(page);
  await expect(page.getByText(/Step \d+ of 13/)).toBeVisible();
  await caretAt("the slip is dark");
  await page.keyboard.press("Alt+Enter");
  await expect(page.getByText(/Step \d+ of 12/)).toBeVisible();

  // Beside the words a press joins the two slides of one outfit only.
  const handle = page.getByTitle(/^Join the slides here, or drag: Two-line band/).first();
  await handle.click();
  await expect(page.getByText(/Remove (the|\d+) manual breaks?/)).toBeVisible();
  await expect(page.locator("aside li", { hasText: "Two-line band" })).toContainText("11 slides");
});

test("a list becomes pages, a look before, and one undo", async ({ page, emptyShow }) => {
  await openDesk(page, emptyShow, "prepare");
  await copy(
    page,
    "Role\tName\nnet mender\tIlse Tarrow\nharbour pilot\tOdhran Vael\nlamp keeper\tBrisa Quell",
  );
  await page.keyboard.press("n");
  await paste(page);
  await expect(page.getByRole("cell", { name: "Odhran Vael" })).toBeVisible();
  await expect(page.getByText("The first line names the columns and is no page.")).toBeVisible();
  await page.keyboard.press("Alt+Enter");
  await expect(page.locator("[data-cue]")).toHaveCount(3);
  await expect(cue(page, "Odhran Vael")).toContainText("harbour pilot");
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+z");
  await expect(page.locator("[data-cue]")).toHaveCount(0);
});

test("a paste is cleaned, and put back as it was with one press", async ({ page, emptyShow }) => {
  await openDesk(page, emptyShow, "prepare");
  const raw = 'Verse 1\nHe said  "light it" -- now\nG D\nit\'s late';
  await copy(page, raw);
  await page.getByRole("button", { name: "Empty page" }).click();
  await page.getByRole("menuitem", { name: "Song" }).click();
  const words = page.getByRole("textbox", { name: "Words" });
  await words.focus();
  await paste(page);
  await expect(words).toHaveValue("Verse 1\nHe said “light it” – now\nG D\nit’s late");
  await expect(
    page.getByText("Cleaned: 1 line with stray spaces, 3 straight quotes, 1 typed dash"),
  ).toBeVisible();
  await page.getByRole("button", { name: "Put it back as pasted" }).click();
  await expect(words).toHaveValue(raw);
});

test("a word is replaced all over the rundown, and taken back", async ({ page, show }) => {
  await openDesk(page, show, "prepare");
  await page.keyboard.press("r");
  await expect(page.getByRole("textbox", { name: "Find in the rundown" })).toBeFocused();
  await page.keyboard.type("lantern");
  await expect(page.getByText("2 places in 2 cues")).toBeVisible();
  await page.getByRole("textbox", { name: "Replace by" }).fill("lamp");
  await page.getByRole("button", { name: "Replace all 2" }).click();
  await expect(page.getByText(/^Replace 2 places/)).toBeVisible();
  await expect(cue(page, "Lamp Evening")).toHaveCount(1);
  await page.locator("body").click({ position: { x: 1000, y: 20 } });
  await page.keyboard.press("Control+z");
  await expect(cue(page, "Lamp Evening")).toHaveCount(0);
  await expect(cue(page, "Lantern Evening")).toHaveCount(1);
});

test("the credit is a step of its own at the end, in each outfit's own template; what is missing is listed", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "prepare");
  await page.getByRole("button", { name: /^Credits: 1 incomplete/ }).click();
  await expect(page.getByRole("region", { name: "Credits" })).toContainText("the song’s licence number");
  await page.getByRole("textbox", { name: "Licence number of the venue, for this event" }).fill("");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("region", { name: "Credits" })).toContainText("the venue’s licence number");

  const wall = await openOutput(show, 0);
  await goTo(page, "Run");
  await arm(page, page.locator('[data-step^="cue-0013/credit"]'));
  await page.keyboard.press("Space");
  await settled(wall, 3);
  await expect(page.locator("[data-mark=air]")).toContainText("Traditional on the quay");
  expect(brightness(await shoot(wall))).toBeGreaterThan(0.5);
});

test("a text is brought in while the show goes on, read from, and taken out", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "texts");
  const wall = await openOutput(show, 0);
  const usfm = (id: string, words: string) =>
    strToU8(`\\id ${id}\n\\c 1\n\\q1\n\\v 1 ${words}\n\\q2 at the quay`);
  await page.getByRole("textbox", { name: "Name, as it is shown" }).fill("Quay text");
  await page.getByRole("textbox", { name: "What its owner wants said" }).fill("Words: Net Loft, 2026");
  await page.getByLabel("Choose files").setInputFiles({
    name: "quay.zip",
    mimeType: "application/zip",
    buffer: Buffer.from(
      zipSync({ "1.usfm": usfm("JON", "Odhran went down"), "2.usfm": usfm("RUT", "Brisa lit") }),
    ),
  });
  await expect(page.getByText("Quay text: 2 verses.")).toBeVisible();
  await expect(page.getByRole("main")).toContainText("Words: Net Loft, 2026");

  await page.keyboard.press("Control+f");
  await page.keyboard.type("jonah 1:1");
  await row(page, "Quay text").click();
  await page.getByRole("link", { name: "Prepare" }).click();
  await expect(cue(page, "Jonah 1:1")).toContainText("Odhran went down");
  await page.getByRole("checkbox", { name: "Rights, at the end" }).check();
  await saved(page);
  await page.keyboard.press("Control+f");
  await page.keyboard.press("Control+Enter");
  await settled(wall, 2);

  await page.getByRole("link", { name: "Material" }).click();
  await page.getByRole("link", { name: "Texts" }).click();
  await page.getByRole("button", { name: "Delete Quay text" }).click();
  await expect(page.getByRole("button", { name: "Delete Quay text" })).toHaveCount(0);
  await page.getByRole("link", { name: "Prepare" }).click();
  await expect(page.getByText("The text “quay-text” is not installed here.")).toBeVisible();
  // What is on air is pinned.
  await expect(output(wall)).toHaveAttribute("data-seq", "2");
  expect(brightness(await shoot(wall))).toBeGreaterThan(0.5);
});

test.describe("files that are no texts", () => {
  for (const [name, content, sentence] of [
    ["bomb.xml", '<!DOCTYPE a [<!ENTITY b "c">]><osis>&b;</osis>', "declares a document type"],
    ["broken.xml", '<osis><verse osisID="Gen.1.1">x', "is not whole"],
    ["words.txt", "only words", "neither OSIS nor USFM"],
  ] as const)
    test(`${name} is refused in a sentence and leaves nothing behind`, async ({ page, show }) => {
      await openDesk(page, show, "texts");
      await page.getByLabel("Choose files").setInputFiles({
        name,
        mimeType: "text/plain",
        buffer: Buffer.from(content),
      });
      await expect(page.getByRole("status").filter({ hasText: sentence })).toBeVisible();
      await expect(page.getByRole("main").getByRole("listitem")).toHaveCount(2);
    });
});

test("the song library: new, found by its words, brought in as ChordPro, added to the rundown", async ({
  page,
  show,
}: {
  page: Page;
  show: RunningShow;
}) => {
  await openDesk(page, show, "songs");
  await page.getByRole("searchbox").fill("row for the mornin");
  await expect(page.getByRole("button", { name: /Nine Bells, No Wind/ })).toBeVisible();
  await expect(page.getByText("1 found")).toBeVisible();
  await page.getByRole("searchbox").fill("");
  await page.getByLabel("Import").setInputFiles({
    name: "kite.cho",
    mimeType: "text/plain",
    buffer: Buffer.from("{title: Kite over Kiln Lane}\n{soc}\n[G]Kite, kite, [D]over the lane\n{eoc}\n"),
  });
  await expect(page.getByText("1 song was imported.")).toBeVisible();
  await expect(page.getByRole("textbox", { name: "Title" })).toHaveValue("Kite over Kiln Lane");
  await expect(page.getByText("Chords are kept in the text and left out on slides.")).toBeVisible();
  await expect(page.getByRole("heading", { name: /^On every screen/ })).toBeVisible();
  await page.getByRole("button", { name: "Add to the rundown" }).click();
  await expect(page.getByText(/is in the rundown, after the chosen cue/)).toBeVisible();
  await page.getByRole("link", { name: "Prepare" }).click();
  await expect(cue(page, "Kite over Kiln Lane")).toHaveAttribute("data-selected", "true");
  await expect(page.getByText("As in the library.")).toBeVisible();
});
