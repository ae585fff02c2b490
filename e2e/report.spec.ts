import { readFile } from "node:fs/promises";
import type { Download, Page } from "@playwright/test";
import { parse as parseCaptions } from "@plussub/srt-vtt-parser";
import Papa from "papaparse";
import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";
import { PNG } from "pngjs";
import { shoot } from "./support/pixels.ts";
import { expect, goTo, hold, openDesk, seqOf, settled, takeSteps, test } from "./support/show.ts";

const lines = (page: Page) => page.getByRole("list", { name: "Lines" }).getByRole("button");
const part = (page: Page, name: string) =>
  page.getByRole("toolbar", { name: "Parts of the report" }).getByRole("button", { name });
const textOf = async (download: Download) =>
  (await readFile(await download.path(), "utf8")).replace(/^\uFEFF/, "");

test("what was shown stands in the report: found, drawn again, noted beside, kept as files", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  await takeSteps(page, await openOutput(show, 0), 7);
  await goTo(page, "Report");
  await expect(lines(page).first()).toContainText("Night harbour");
  await expect(lines(page)).toHaveCount(7);
  await expect(lines(page).nth(3)).toContainText("Ilse Tarrow");
  await expect(lines(page).nth(3)).toContainText("Titles · Desk 1, take");
  // From the line that was pressed, the arrows go on.
  await lines(page).nth(1).click();
  await page.keyboard.press("ArrowDown");
  await expect(lines(page).nth(2)).toHaveAttribute("aria-pressed", "true");

  // The screens as they were: the words of the verse, and by then the strap.
  await page.getByRole("searchbox", { name: "Find in the report" }).fill("tide moon");
  await expect(lines(page)).toHaveCount(1);
  const then = page.getByRole("complementary", { name: "The screens then" });
  await expect(then.getByRole("heading")).toContainText("Carry the Lamp Down");
  const wall = then.getByRole("img", { name: /^Loft wall at/ });
  await expect(wall).toBeVisible();
  await expect
    .poll(() => wall.evaluate((element) => element.querySelectorAll("canvas, img").length))
    .toBeGreaterThan(0);

  await then.getByRole("textbox", { name: "A note beside this line" }).fill("Sung twice: the mic was off.");
  await page.keyboard.press("Enter");
  await expect(then.getByRole("list")).toContainText("Sung twice: the mic was off. Desk 1");
  await expect(lines(page).first().getByLabel("has a note")).toBeVisible();
  await page.getByRole("searchbox", { name: "Find in the report" }).fill("mic was");
  await expect(lines(page)).toHaveCount(1);

  const asCsv = page.waitForEvent("download");
  await page.getByRole("button", { name: "CSV" }).click();
  const { data } = Papa.parse<Record<string, string>>(await textOf(await asCsv), { header: true });
  expect(data).toMatchObject([
    {
      Title: "Carry the Lamp Down",
      Part: "Verse 1",
      By: "Desk 1",
      Note: "Sung twice: the mic was off. (Desk 1)",
    },
  ]);
  await page.getByRole("searchbox", { name: "Find in the report" }).fill("");
  await page.getByRole("combobox", { name: "On which screen" }).selectOption("Porch");
  await expect(lines(page).filter({ hasText: "Ilse Tarrow" })).toHaveCount(0);
  const asJson = page.waitForEvent("download");
  await page.getByRole("button", { name: "JSON" }).click();
  const told = JSON.parse(await textOf(await asJson)) as { shown: { screens: string[] }[] };
  expect(told.shown.length).toBeGreaterThan(0);
  expect(told.shown.every(({ screens }) => screens.includes("Porch"))).toBe(true);

  await part(page, "Cues").click();
  await expect(page.getByRole("row", { name: /Carry the Lamp Down.*3:20.*so far/ })).toBeVisible();
  await part(page, "Songs").click();
  await expect(page.getByRole("row", { name: /Carry the Lamp Down.*Q-0017/ })).toBeVisible();
  const asSongs = page.waitForEvent("download");
  await page.getByRole("button", { name: "CSV" }).click();
  expect(await textOf(await asSongs)).toContain("Carry the Lamp Down");

  // Over any days: this year when nothing else is said.
  await page.getByRole("combobox", { name: "Report of" }).selectOption("days");
  await expect(page.getByRole("row", { name: /Carry the Lamp Down.*Q-0017/ })).toBeVisible();
  await page.getByLabel("Until", { exact: true }).fill(`${new Date().getFullYear() - 1}-12-31`);
  await expect(page.getByText("The first day may not come after the last")).toBeVisible();
  await page.getByLabel("From", { exact: true }).fill(`${new Date().getFullYear() - 1}-01-01`);
  await expect(page.getByText("No song was shown.")).toBeVisible();
});

test("charts have their figures beside, are zoomed by keys, and one page says what happened", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  await takeSteps(page, await openOutput(show, 0), 5);
  await goTo(page, "Report");
  await part(page, "Charts").click();
  const onAir = page.getByRole("region", { name: "On air" });
  await expect(onAir.getByRole("row", { name: /Titles/ })).toBeVisible();
  await onAir.getByRole("button", { name: "by cue" }).click();
  await expect(onAir.getByRole("row", { name: /Ilse Tarrow/ })).toBeVisible();
  const chart = onAir.getByRole("img", { name: /^What was on air/ });
  // Each bar is where its name is in the table; by keys less of the evening is in sight.
  await expect(chart.locator("svg")).toContainText("Night harbour");
  const axis = () => chart.locator("svg text").allTextContents();
  const before = await axis();
  await chart.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press("+");
  await expect.poll(axis).not.toEqual(before);
  for (let i = 0; i < 9; i++) await page.keyboard.press("-");
  await expect.poll(axis).toEqual(before);
  await expect(page.getByText("No screen was late.")).toBeVisible();

  await part(page, "On one page").click();
  const evening = page.getByRole("region", { name: "The evening" });
  await expect(evening).toContainText("is on still");
  await expect(evening).toContainText("Desk 1 5");
  await expect(evening).toContainText("No press was refused.");
});

/** The words of a PDF, page by page, and the shape of its pages. */
async function readPdf(pdf: Buffer): Promise<{ pages: string[]; isLandscape: boolean }> {
  const document = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise;
  const pages: string[] = [];
  let isLandscape = true;
  for (let number = 1; number <= document.numPages; number++) {
    const page = await document.getPage(number);
    const { width, height } = page.getViewport({ scale: 1 });
    isLandscape &&= width > height;
    const { items } = await page.getTextContent();
    pages.push(items.map((item) => ("str" in item ? item.str : "")).join(" "));
  }
  return { pages, isLandscape };
}
const print = async (page: Page) => readPdf(await page.pdf({ preferCSSPageSize: true }));

test("the script, the rundown and the evening come out of the printer whole, and nothing of the desk with them", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  await takeSteps(page, await openOutput(show, 0), 2);
  await goTo(page, "Paper");
  const sheet = page.getByRole("article");
  await expect(sheet).toContainText("Carry the Lamp Down");
  const script = await print(page);
  const words = script.pages.join(" ");
  expect(script.pages.length).toBeGreaterThan(2);
  expect(script.isLandscape).toBe(false);
  for (const said of [
    "Night harbour",
    "The tide has gone to fetch the moon,",
    "Singers stand at the second line.",
    "3:20",
  ])
    expect(words).toContain(said);
  // The last cue is on it too, and no button is.
  expect(words).toContain(
    ((await sheet.getByRole("heading", { level: 3 }).last().textContent()) ?? "").trim(),
  );
  expect(words).not.toMatch(/Print or save|connected|Large print/);

  await page.getByRole("checkbox", { name: "Two to a page" }).click();
  await page.getByRole("checkbox", { name: "Large print" }).click();
  await expect(page.locator(".is-two")).toBeVisible();
  const two = await print(page);
  expect(two.isLandscape).toBe(true);
  expect(two.pages.join(" ")).toContain("The tide has gone to fetch");

  await page.getByRole("button", { name: "Rundown", exact: true }).click();
  await expect(page.getByRole("table")).toBeVisible();
  const rundown = await print(page);
  expect(rundown.pages.join(" ")).toContain("Singers stand at the");
  expect(rundown.pages.length).toBeLessThan(script.pages.length);

  await page.getByRole("button", { name: "Proofs", exact: true }).click();
  const proofs = page.getByRole("img", { name: /^Lantern Evening on Loft wall/ });
  await expect.poll(() => proofs.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(640);

  await goTo(page, "Report");
  await part(page, "On one page").click();
  await expect(page.getByRole("region", { name: "The evening" })).toContainText("Began");
  const evening = await print(page);
  expect(evening.pages).toHaveLength(1);
  expect(evening.pages[0]).toContain("No feed broke.");
  expect(evening.pages[0]).not.toMatch(/What was on|Charts/);
});

test("what earlier evenings took is offered as the plan, and taken back with one press", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeSteps(page, wall, 1);
  await goTo(page, "Timing");
  const row = (name: RegExp) => page.getByRole("row", { name });
  await page.getByRole("button", { name: "Earlier evenings" }).click();
  await expect(
    page.getByText("None of these cues was gone through on an earlier evening yet."),
  ).toBeVisible();
  await expect(row(/^1 · Night harbour/)).toContainText(/0:0[6-9]$/);
  await goTo(page, "Run");
  await takeSteps(page, wall, 1);
  await goTo(page, "Timing");
  await hold(page, page.getByRole("button", { name: "Start over" }), () =>
    expect(page.getByText("The evening starts over with the next take.")).toBeVisible(),
  );
  await goTo(page, "Run");
  await takeSteps(page, wall, 1);
  await goTo(page, "Timing");
  await page.getByRole("button", { name: "Earlier evenings" }).click();
  await expect(row(/^1 · Night harbour/)).toContainText("once");
  await page.getByRole("button", { name: "Plan “Night harbour” as before" }).click();
  await expect(page.getByText("One cue is planned as before.")).toBeVisible();
  await expect(row(/^1 · Night harbour/)).toContainText(/0:[0-9]0|0:[0-9]5/);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("button", { name: /Use for \d+ without a length/ })).toBeVisible();
});

test("the walk through on paper has on every screen what the screen shows at that step, all of it", async ({
  page,
  show,
  openOutput,
  request,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeSteps(page, wall, 3);
  await settled(wall, await seqOf(wall));
  await goTo(page, "Paper");
  await page.getByRole("button", { name: "Walk through", exact: true }).click();
  const step = page
    .getByRole("article")
    .getByRole("listitem")
    .filter({ hasText: /^3 Lantern Evening/ });
  await expect(step.getByRole("img")).toHaveCount(5);
  const picture = step.getByRole("img", { name: "Lantern Evening on Loft wall" });
  const address = new URL((await picture.getAttribute("src")) ?? "", show.base);
  address.searchParams.set("width", "1920");
  const painted = PNG.sync.read(await (await request.get(address.href)).body());
  const seen = await shoot(wall);
  const away = (image: PNG) => {
    let count = 0;
    for (let at = 0; at < seen.data.length; at++)
      if (Math.abs((image.data[at] as number) - (seen.data[at] as number)) > 40) count++;
    return count / seen.data.length;
  };
  // Letters have other edges in another painter; nothing else is another.
  expect(away(painted)).toBeLessThan(0.002);
  address.searchParams.delete("also");
  const alone = PNG.sync.read(await (await request.get(address.href)).body());
  expect(away(alone)).toBeGreaterThan(0.01);
  // Links of screens see no more by it than without.
  address.searchParams.set("also", "[]");
  address.pathname = address.pathname.replace("desk", show.outputLink(0).split("/").at(-1) ?? "");
  expect((await request.get(address.href)).status()).toBe(403);
});

test("the rundown, the words of the songs and the subtitles of the run are files that others read", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  await takeSteps(page, await openOutput(show, 0), 7);
  await goTo(page, "Report");
  await expect(lines(page)).toHaveCount(7);
  const kept = async (name: string) => {
    const download = page.waitForEvent("download");
    await page.getByRole("button", { name, exact: true }).click();
    return textOf(await download);
  };
  const { entries } = parseCaptions(await kept("WebVTT"));
  expect(entries.map(({ text }) => text)).toContainEqual(
    expect.stringContaining("The tide has gone to fetch the moon"),
  );
  expect(parseCaptions(await kept("SRT")).entries.length).toBe(entries.length);

  await goTo(page, "Paper");
  await page.getByRole("button", { name: "Save as files" }).click();
  const { data } = Papa.parse<Record<string, string>>(await kept("CSV"), { header: true });
  expect(data.length).toBe(42);
  expect(data.find(({ Cue }) => Cue === "Carry the Lamp Down")).toMatchObject({ "No.": "5", Kind: "song" });
  expect(await kept("Markdown")).toContain("| 6 |");
  expect(await kept("Lyrics")).toMatch(/Carry the Lamp Down\n=+\n\n\[Verse 1\]\nThe tide has gone/);
});
