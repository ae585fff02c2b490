import { mkdirSync, writeFileSync } from "node:fs";
import { join, resolve } from "node:path";
import type { Page } from "@playwright/test";
import { PNG } from "pngjs";
import { expect, expectCues, openDesk, output, seqOf, test } from "./support/show.ts";

/** Drags files or folders of the disk to the middle of a page and lets them go there, as a hand does; or gives it up. */
async function drag(page: Page, end: "drop" | "dragCancel", ...paths: string[]): Promise<void> {
  const session = await page.context().newCDPSession(page);
  const data = { items: [], files: paths, dragOperationsMask: 1 };
  const send = (type: "dragEnter" | "dragOver" | typeof end) =>
    session.send("Input.dispatchDragEvent", { type, x: 400, y: 400, data });
  await send("dragEnter");
  await expect(page.getByText("Let go anywhere")).toBeVisible();
  await send("dragOver");
  await send(end);
  await expect(page.getByText("Let go anywhere")).toHaveCount(0);
  await session.detach();
}

const drop = (page: Page, ...paths: string[]) => drag(page, "drop", ...paths);

function picture(path: string, grey: number): string {
  const png = new PNG({ width: 64, height: 36 });
  png.data.fill(grey);
  writeFileSync(path, PNG.sync.write(png));
  return path;
}

test("a folder of pictures dropped on Run is taken for slides, and said so; they come in the order of their numbers", async ({
  page,
  show,
  openOutput,
}, info) => {
  const folder = info.outputPath("Harbour talk");
  mkdirSync(folder);
  for (const [name, grey] of [
    ["10 end", 200],
    ["2 middle", 120],
    ["1 begin", 60],
  ] as const)
    picture(join(folder, `${name}.png`), grey);
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const seq = await seqOf(wall);
  await drop(page, folder);
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("and 2 more files");
  await expect(dialog).toContainText("Taken for: slides");
  // Enter brings them in; nothing on air was touched by any of it.
  await page.keyboard.press("Enter");
  await expect(page.getByText("3 cues are in the rundown")).toBeVisible();
  await expect(page.locator("[data-cue]", { hasText: /begin|middle|end$/ })).toHaveText([
    /1 begin/,
    /2 middle/,
    /10 end/,
  ]);
  await expect(output(wall)).toHaveAttribute("data-seq", `${seq}`);
});

test("what was taken for something else is told otherwise; what nothing takes is asked about; what is left stays out", async ({
  page,
  show,
}, info) => {
  await openDesk(page, show);
  const boats = picture(info.outputPath("boats.png"), 90);
  const dialog = page.getByRole("dialog");
  await drag(page, "dragCancel", boats);
  await expect(dialog).toHaveCount(0);
  await drop(page, boats);
  await dialog.getByRole("radio", { name: /^For the library/ }).check();
  await dialog.getByRole("button", { name: "Bring it in" }).click();
  await expect(page.getByRole("main", { name: "Library" })).toBeVisible();
  await expect(page.getByText("boats").first()).toBeVisible();

  const order = info.outputPath("running order.txt");
  writeFileSync(order, "Doors\nWelcome by the harbour master\n");
  await drop(page, order);
  await expect(dialog).toContainText("Taken for: a rundown");
  await page.keyboard.press("Escape");
  await expect(dialog).toHaveCount(0);
  await expect(page.getByRole("main", { name: "Library" })).toBeVisible();

  await drop(page, order);
  await page.keyboard.press("Enter");
  await expect(page.getByText("Welcome by the harbour master").first()).toBeVisible();
  await expectCues(page, 42);

  const letter = info.outputPath("letter.docx");
  writeFileSync(letter, "hello");
  await drop(page, letter);
  await expect(dialog).toContainText("It cannot be told by its name what this is");
});

test("songs, a template, a table and a scripture text are told apart by their names, and each goes where it is kept", async ({
  page,
  show,
}, info) => {
  const file = (name: string, text: string): string => {
    writeFileSync(info.outputPath(name), text);
    return info.outputPath(name);
  };
  const dialog = page.getByRole("dialog");
  await openDesk(page, show);
  await drop(
    page,
    file("race times.json", '[{"boat":"Gannet","time":"4:12"},{"boat":"Tern","time":"4:20"}]'),
  );
  await expect(dialog).toContainText("Taken for: rows for a feed");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("main", { name: "Feeds" })).toBeVisible();
  await expect(page.getByText("Gannet").first()).toBeVisible();

  await drop(page, resolve("docs/formats/quay-at-dusk.style.json"));
  await expect(dialog).toContainText("Taken for: a template or style");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/The house style “.+” is here/)).toBeVisible();

  // A text that the view which is open would take is for that view.
  await page.goto(`${show.base}/songs`);
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
  await drop(page, file("slack water.txt", "Slack Water\n\nThe tide stands still\nand so do we\n"));
  await expect(dialog).toContainText("Taken for: songs");
  await page.keyboard.press("Enter");
  await expect(page.getByText("1 song was imported.")).toBeVisible();

  await drop(
    page,
    file("small.usfm", "\\id JON Small\n\\h Jonah\n\\c 1\n\\p\n\\v 1 Now the word came.\n\\v 2 Arise.\n"),
  );
  await expect(dialog).toContainText("Taken for: a scripture text");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("main", { name: "Texts" })).toContainText("2 verses");
});
