import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { writeFileSync } from "node:fs";
import { join } from "node:path";
import type { Page } from "@playwright/test";
import { plainPicture } from "../test-support/plainPicture.ts";
import { mulberry } from "../test-support/random.ts";
import { shoot } from "./support/pixels.ts";
import type { RunningShow } from "./support/runningShow.ts";
import {
  cueRow,
  expect,
  expectCues,
  goTo,
  openDesk,
  output,
  pickBox,
  saved,
  scrollTo,
  takeFound,
  test,
} from "./support/show.ts";

/** Saves a file of the feed folder from another process, as the program does that it belongs to. */
function saveElsewhere(show: RunningShow, name: string, what: string | Uint8Array): void {
  const path = join(`${show.databaseFile}.feeds`, name);
  const script = "require('node:fs').writeFileSync(process.argv[1], require('node:fs').readFileSync(0))";
  expect(spawnSync(process.execPath, ["-e", script, path], { input: what }).status).toBe(0);
}
const lanterns = (ropewalk: string, kilnLane = "118") =>
  `street,lanterns,since\nRopewalk,${ropewalk},18:40\nKiln Lane,${kilnLane},18:45\nUpper Slip,97,18:30\n`;

/** What an output shows once nothing of it moves. */
async function atRest(wall: Page): Promise<string> {
  await expect(output(wall)).toHaveAttribute("data-moving", "no");
  return createHash("sha256")
    .update(await wall.screenshot())
    .digest("hex");
}
const isOther = (wall: Page, before: string) =>
  expect.poll(async () => (await atRest(wall)) !== before, { intervals: [100] }).toBe(true);

/** Values that stand in good saves; those in broken ones are others. */
const GOOD_COUNTS = ["142", "150", "163", "178"];
/** A thousand by hand; fewer each time all is tested. */
const BROKEN_SAVES = Number(process.env.VESKO_BROKEN_SAVES ?? 100);
/** Long enough for each to be read: a file is read once it stands still. */
const SAVED_EVERY_MS = 60;

/** What a program in trouble writes in place of a good table. */
function brokenSave(text: string, random: () => number): string {
  const wrong = `${200 + Math.floor(random() * 700)}`;
  const [head = "", first = "", ...rest] = text.trimEnd().split("\n");
  const [street = "", , since = ""] = first.split(",");
  const ways = [
    // Cut off within a line.
    () => `${head}\n${street},${wrong},${since}\n${rest[0]?.slice(0, 1 + Math.floor(random() * 8))}`,
    () => "",
    () => `${head}\n${street},#REF!,${since}\n${rest.join("\n")}\n`,
    () => `${head}\n${street},${wrong} or so,${since}\n${rest.join("\n")}\n`,
    // A column is missing.
    () => `street,since\n${street},${since}\n`,
    () => `${head}\n${street},-${wrong},${since}\n${rest.join("\n")}\n`,
    () => `${head}\n"${street},${wrong},${since}\n${rest.join("\n")}\n`,
    // Twice the same row, with another value.
    () => `${head}\n${street},${wrong},${since}\n${first}\n${rest.join("\n")}\n`,
    () => `<html><body>503 ${wrong}</body></html>`,
    () => `${head}\n${`${street} ,${wrong},${since}\n`.repeat(6_000)}`,
  ];
  return (ways[Math.floor(random() * ways.length)] ?? String)();
}

const LIVE_BARS = "lit, as they are counted";
const onAir = (desk: Page) => desk.locator("[data-mark=air]");

test("a file on disk, rewritten elsewhere, changes what is on air; a window that is loaded again shows the same", async ({
  page,
  show,
  openOutput,
}) => {
  const wall = await openOutput(show, 0);
  await openDesk(page, show);
  await takeFound(page, wall, LIVE_BARS);
  await expect(onAir(page)).toContainText(/Ropewalk\s+142/);
  const before = await atRest(wall);
  saveElsewhere(show, "lanterns.csv", lanterns("177", "300"));
  // Sorted anew: who is ahead comes first.
  await expect(onAir(page)).toContainText(/Kiln Lane\s+300\s+Ropewalk\s+177/);
  await isOther(wall, before);
  const after = await atRest(wall);
  await wall.reload();
  await expect(output(wall)).toHaveAttribute("data-ready", "yes");
  await expect.poll(() => atRest(wall)).toBe(after);
  // Undo of another take brings the values of now.
  await takeFound(page, wall, "Round the breakwater");
  saveElsewhere(show, "lanterns.csv", lanterns("400", "300"));
  await expect(page.locator("[data-step^=cue-0033]")).toContainText(/Ropewalk\s+400/);
  await page.keyboard.press("u");
  await expect(onAir(page)).toContainText(/Ropewalk\s+400/);
  const undone = await atRest(wall);
  expect(undone).not.toBe(after);
  await wall.reload();
  await expect(output(wall)).toHaveAttribute("data-ready", "yes");
  await expect.poll(() => atRest(wall)).toBe(undone);
});

test("rubbish never reaches the air: the last good values stay, page and feed are marked, the desk is told where", async ({
  page,
  show,
  openOutput,
}) => {
  const wall = await openOutput(show, 0);
  await openDesk(page, show);
  await takeFound(page, wall, LIVE_BARS);
  const good = await atRest(wall);
  saveElsewhere(show, "lanterns.csv", lanterns("#REF!"));
  await expect(
    page.getByText("“Lanterns by street”: “lanterns” has “#REF!” in row 1, where a number belongs."),
  ).toBeVisible();
  const row = page.locator("li", { has: onAir(page) });
  await expect(row.getByText(/last good values since/).first()).toBeVisible();
  expect(await atRest(wall)).toBe(good);
  saveElsewhere(show, "lanterns.csv", "street,lanterns,since\nRopewalk,1");
  await expect(row.getByTitle(/breaks off in the middle of its last line/).first()).toBeVisible();
  expect(await atRest(wall)).toBe(good);
  await goTo(page, "Prepare");
  await expect(
    (await scrollTo(page, cueRow(page, "cue-0033"))).getByText(/last good values since/),
  ).toBeVisible();
  saveElsewhere(show, "lanterns.csv", lanterns("180"));
  await expect(cueRow(page, "cue-0033").getByText("Lanterns by street")).toBeVisible();
  await isOther(wall, good);
});

test("seed 1609: broken saves, one after another, under a page on air: nothing is painted that did not stand in a good save", async ({
  page,
  show,
  openOutput,
}) => {
  const wall = await openOutput(show, 0);
  await wall.addInitScript(() => {
    // Whatever words are painted go through here, however briefly they are seen.
    const painted = new Set<string>();
    Object.assign(window, { painted });
    window.Path2D = class extends Path2D {
      constructor(path?: Path2D | string) {
        super(path);
        if (typeof path === "string") painted.add(path);
      }
    };
  });
  await wall.reload();
  await expect(output(wall)).toHaveAttribute("data-ready", "yes");
  await openDesk(page, show, "prepare");
  await page.getByPlaceholder(/Paste a song/).fill("Wick Merrow, counts the lanterns");
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await page.getByRole("button", { name: "Fill “Role” from a feed" }).click();
  await page.getByRole("button", { name: "lanterns", exact: true }).click();
  await expect(page.getByRole("status").filter({ hasText: "142" })).toBeVisible();
  await saved(page);
  await goTo(page, "Run");
  await takeFound(page, wall, "Wick Merrow");

  const random = mulberry(1609);
  const file = join(`${show.databaseFile}.feeds`, "lanterns.csv");
  const good = GOOD_COUNTS.map((count) => lanterns(count));
  const pause = () => new Promise((resolve) => setTimeout(resolve, SAVED_EVERY_MS));
  for (const count of GOOD_COUNTS) {
    writeFileSync(file, lanterns(count));
    await expect(onAir(page)).toContainText(count);
    await atRest(wall);
  }
  const paintedSoFar = () => wall.evaluate("[...window.painted]") as Promise<string[]>;
  const known = new Set(await paintedSoFar());
  let last = GOOD_COUNTS.at(-1) ?? "";
  for (let i = 0; i < BROKEN_SAVES; i++) {
    writeFileSync(file, brokenSave(good[Math.floor(random() * good.length)] ?? "", random));
    await pause();
    if (i % 10 < 9) continue;
    last = GOOD_COUNTS[Math.floor(random() * GOOD_COUNTS.length)] ?? last;
    writeFileSync(file, lanterns(last));
    await pause();
  }
  writeFileSync(file, lanterns(last));
  await expect(onAir(page)).toContainText(last);
  expect((await paintedSoFar()).filter((path) => !known.has(path))).toEqual([]);
  // It would have been seen: another good value is.
  writeFileSync(file, lanterns("987"));
  await expect(onAir(page)).toContainText("987");
  await atRest(wall);
  expect((await paintedSoFar()).some((path) => !known.has(path))).toBe(true);
});

test("a field is filled with two presses, shows what it has now, and can be frozen on air", async ({
  page,
  show,
  openOutput,
}) => {
  const wall = await openOutput(show, 0);
  await openDesk(page, show, "prepare");
  const box = page.getByPlaceholder(/Paste a song/);
  await box.fill("Wick Merrow, counts the lanterns");
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await page.getByRole("button", { name: "Fill “Role” from a feed" }).click();
  await page.getByRole("button", { name: "lanterns", exact: true }).click();
  await expect(page.getByRole("status").filter({ hasText: "142" })).toBeVisible();
  await page.getByRole("button", { name: "row 1 for Role" }).click();
  await page.getByLabel("Words").fill("{lanterns} lit in {street}");
  await page.getByLabel("How the row is found").selectOption("by its rank");
  await page.getByLabel("Rank", { exact: true }).fill("2");
  // What is taken is what was saved last.
  const isSaved = page.waitForResponse(
    (response) =>
      /\/edit\b/.test(response.url()) && (response.request().postData() ?? "").includes('"rank":2'),
  );
  await page.getByLabel("Rank", { exact: true }).press("Enter");
  await expect(page.getByRole("status").filter({ hasText: "118 lit in Kiln Lane" })).toBeVisible();
  await isSaved;
  await saved(page);
  await goTo(page, "Run");
  await takeFound(page, wall, "Wick Merrow");
  await expect(onAir(page)).toContainText("118 lit in Kiln Lane");
  const first = await atRest(wall);
  const freeze = page.getByRole("button", { name: "Freeze" });
  await freeze.click();
  await expect(freeze).toHaveAttribute("aria-pressed", "true");
  saveElsewhere(show, "lanterns.csv", lanterns("142", "131"));
  const read = () => page.request.get(`${show.base}/feed-rows?id=demo-lanterns`);
  await expect.poll(async () => (await (await read()).text()).includes("131")).toBe(true);
  expect(await atRest(wall)).toBe(first);
  await expect(onAir(page)).toContainText("118 lit in Kiln Lane");
  await freeze.click();
  await expect(onAir(page)).toContainText("131 lit in Kiln Lane");
  await isOther(wall, first);
});

test("a row is picked by any of its words, held until it is sent; used rows are marked and passed over", async ({
  page,
  show,
  openOutput,
}) => {
  const wall = await openOutput(show, 0);
  await openDesk(page, show);
  await takeFound(page, wall, "To be announced");
  await expect(onAir(page)).toContainText("To be announced");
  const waiting = await atRest(wall);
  const box = page.getByRole("combobox", { name: "Row of Names for the boat" });
  await box.fill("gannet");
  await expect(page.getByRole("option", { name: /Wicklight/ })).toBeVisible();
  await box.press("Enter");
  await expect(onAir(page)).toContainText("held: Wicklight");
  expect(await atRest(wall)).toBe(waiting);
  // The keys are the air's again.
  await page.keyboard.press("s");
  await expect(onAir(page).getByText("held")).toHaveCount(0);
  await expect(onAir(page)).toContainText("the new boat, as Gannet Steps proposed");
  await isOther(wall, waiting);
  // The last in order was shown: the next is the first that was not.
  await box.fill("");
  await box.click();
  await expect(page.getByRole("option", { name: /Wicklight/ }).getByText("shown")).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("option", { name: /Wicklight/ })).toHaveCount(0);
  await page.keyboard.press("Escape");
  await expect(box).not.toBeFocused();
  await page.getByRole("button", { name: "Take back the pick" }).click();
  await pickBox(page, "Names for the boat").getByRole("button", { name: "Next row" }).click();
  await expect(onAir(page)).toContainText("held: Lamp of Merrow");
});

test("a feed is made from a file that is brought, shows what was found in it, and says what is wrong with the next one", async ({
  page,
  emptyShow,
}) => {
  await openDesk(page, emptyShow, "feeds");
  const bring = (name: string, text: string) => ({
    name,
    mimeType: "text/csv",
    buffer: Buffer.from(text, "latin1"),
  });
  await page
    .getByLabel("Choose a file")
    .setInputFiles(
      bring("Größen_2026.csv", "Läufer;Zeit;Runden\r\nJörn Thale;1:02:03,4;12\r\nÅsa Quell;59:10;11\r\n"),
    );
  await expect(page.getByRole("textbox", { name: "Name of the feed" })).toHaveValue("Größen 2026");
  const table = page.getByRole("region", { name: "Its table" });
  await expect(table.getByRole("columnheader", { name: /Läufer/ })).toContainText("words");
  await expect(table.getByRole("columnheader", { name: /Zeit/ })).toContainText("time");
  await expect(table.getByRole("columnheader", { name: /Runden/ })).toContainText("number");
  await expect(table.getByRole("cell", { name: "Jörn Thale" })).toBeVisible();
  await page
    .getByLabel("Bring it again")
    .setInputFiles(bring("Größen_2026.csv", "Läufer;Zeit;Runden\r\nJörn Thale;1:02:03,4;zwölf\r\n"));
  await expect(
    page.getByText("“Runden” has “zwölf” in row 1, where a number belongs.").first(),
  ).toBeVisible();
  await expect(table.getByRole("cell", { name: "12", exact: true })).toBeVisible();
  await page.getByRole("button", { name: "It is right as it is" }).click();
  await expect(table.getByRole("cell", { name: "zwölf" })).toBeVisible();
});

const poster = (color: string) => plainPicture(color, 320, 180);
/** A poster is on a screen: a picture that is taken as soon as it is here may come a moment after its take. */
const hangs = (wall: Page, color: string) =>
  expect
    .poll(async () => {
      const { data } = await shoot(wall);
      const wanted = Number.parseInt(color.slice(1), 16);
      let count = 0;
      for (let at = 0; at < data.length; at += 4) if (data.readUIntBE(at, 3) === wanted) count++;
      return count;
    })
    .toBeGreaterThan(10_000);

test("a picture file that is saved elsewhere changes the picture of a page on air, and what is half a picture does not", async ({
  page,
  show,
  openOutput,
}) => {
  const wall = await openOutput(show, 0);
  saveElsewhere(show, "poster.png", poster("#a03020"));
  await openDesk(page, show, "feeds");
  await page.getByRole("button", { name: "New feed" }).click();
  await page.getByText("A watched file").click();
  await page.getByLabel("File in the feed folder").selectOption("poster.png");
  await page.getByRole("button", { name: "Make the feed" }).click();
  const picture = page.getByRole("region", { name: "Its picture" });
  await expect(picture.getByText("poster.png")).toBeVisible();
  await expect
    .poll(() => picture.locator("img").evaluate((image: HTMLImageElement) => image.naturalWidth))
    .toBe(320);

  await goTo(page, "Prepare");
  await page.getByRole("button", { name: "Empty page" }).click();
  await page.getByRole("menuitem", { name: "Picture", exact: true }).click();
  await page.getByRole("textbox", { name: "Caption" }).fill("What hangs in the sail room");
  await page.getByRole("button", { name: "Fill “Picture” from a feed" }).click();
  await page
    .getByRole("dialog", { name: /Fill|/ })
    .locator("li", { hasText: "Poster" })
    .getByRole("button", { name: "picture", exact: true })
    .click();
  await expect(page.getByRole("status").filter({ hasText: "poster.png" })).toBeVisible();
  await saved(page);
  await goTo(page, "Run");
  await takeFound(page, wall, "What hangs in the sail room");
  await hangs(wall, "#a03020");

  saveElsewhere(show, "poster.png", poster("#2050a0"));
  await hangs(wall, "#2050a0");
  const second = await atRest(wall);
  saveElsewhere(show, "poster.png", poster("#207040").subarray(0, 90));
  await expect(page.getByText(/^“Poster”: .*Pages keep the last good values/)).toBeVisible();
  expect(await atRest(wall)).toBe(second);
  saveElsewhere(show, "poster.png", poster("#207040"));
  await hangs(wall, "#207040");
});

test("every row of a feed becomes a page that follows its row; one undo takes them all back", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "prepare");
  const count = Number(await page.locator("[data-cue]").first().getAttribute("aria-setsize"));
  await page.getByRole("button", { name: "Empty page" }).click();
  await page.getByRole("menuitem", { name: "A page for each row of a feed" }).click();
  const panel = page.getByRole("region", { name: "One page for each line" });
  await expect(panel.getByRole("combobox", { name: "Feed" })).toBeFocused();
  await panel.getByRole("combobox", { name: "Feed" }).selectOption("Lanterns by street");
  await panel.getByRole("combobox", { name: "Column 2 is" }).selectOption("Role");
  await expect(panel.getByRole("cell", { name: "Kiln Lane" })).toBeVisible();
  await expect(panel.getByRole("button", { name: /^Add 5 pages/ })).toBeEnabled();
  await page.keyboard.press("Alt+Enter");
  await expect(panel).toHaveCount(0);
  await expectCues(page, count + 5);
  // The bars have that street too, beside all others.
  const ofKilnLane = (lit: string) =>
    page.locator("[data-cue]", { hasText: "Kiln Lane" }).filter({ hasText: lit, hasNotText: "Ropewalk" });
  await scrollTo(page, ofKilnLane("118").first());
  saveElsewhere(show, "lanterns.csv", lanterns("142", "333"));
  await expect(ofKilnLane("333").first()).toBeVisible();
  await page.keyboard.press("Control+z");
  await expectCues(page, count);
});
