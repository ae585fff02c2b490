import { createCanvas } from "@napi-rs/canvas";
import type { Page } from "@playwright/test";
import SQLite from "better-sqlite3";
import { fontWith } from "../test-support/fontWith.ts";
import { brightness, largestDifference, pixel, shoot } from "./support/pixels.ts";
import type { RunningShow } from "./support/runningShow.ts";
import {
  cueButton,
  expect,
  goTo,
  openDesk,
  openWithLasting,
  saved,
  scrollTo,
  stayUntilOut,
  takeCue,
  test,
} from "./support/show.ts";

const file = (name: string, template: object) => ({
  name: `${name}.json`,
  mimeType: "application/json",
  buffer: Buffer.from(
    JSON.stringify({
      kind: "template",
      format: 2,
      name,
      canvas: { widthPx: 1920, heightPx: 1080 },
      ...template,
    }),
  ),
});
const WHOLE = { x: 0, y: 0, width: 1920, height: 1080 };

async function importAndWear(page: Page, name: string, template: object): Promise<void> {
  await page.getByLabel("Import a file").setInputFiles(file(name, template));
  await expect(page.getByText(`“${name}” can be chosen on pages from now on.`)).toBeVisible();
  await page.getByRole("button", { name: `use by default : ${name}` }).click();
  await expect(page.getByText(`“${name}” is the outfit’s default from the next take on.`)).toBeVisible();
}

test("a bed made elsewhere is in the template itself: it is seen on the outputs, on the desk and in stills", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "library");
  const canvas = createCanvas(192, 108);
  const context = canvas.getContext("2d");
  context.fillStyle = "#00ff00";
  context.fillRect(0, 0, 192, 108);
  await page
    .getByLabel("Import files")
    .setInputFiles({ name: "bed.png", mimeType: "image/png", buffer: canvas.toBuffer("image/png") });
  await expect(page.getByRole("button", { name: /bed.png/ })).toContainText("192×108");
  await page.getByRole("link", { name: "Design" }).click();
  await importAndWear(page, "Bed", {
    fieldSet: "name",
    objects: [{ kind: "picture", id: "bed", box: WHOLE, source: { kind: "library", name: "bed.png" } }],
  });
  await openWithLasting(page, show, "cue-0004");
  const wall = await openOutput(show, 0);
  await takeCue(page, "cue-0004");
  await expect.poll(async () => pixel(await shoot(wall), 300, 300)).toEqual([0, 255, 0, 255]);
});

test("a template for songs is imported, worn by all of them, replaced and deleted", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "design");
  const red = (color: string) => ({
    fieldSet: "words",
    objects: [
      { kind: "rectangle", id: "ground", box: WHOLE, fill: { kind: "solid", color } },
      {
        kind: "text",
        id: "words",
        box: { x: 200, y: 300, width: 1520, height: 480 },
        words: { kind: "field", field: "words" },
        minSizePx: 40,
        maxSizePx: 90,
        fill: { kind: "solid", color: { token: "words" } },
      },
    ],
  });
  await importAndWear(page, "Red words", red("#ff0000"));
  await goTo(page, "Run");
  const wall = await openOutput(show, 0);
  await takeCue(page, "cue-0005");
  await expect.poll(async () => pixel(await shoot(wall), 40, 40)).toEqual([255, 0, 0, 255]);
  await page.getByRole("link", { name: "Design" }).click();
  const replace = page.getByLabel("replace: Red words");
  await replace.setInputFiles(file("Blue words", red("#0000ff")));
  await expect(
    page.getByText("“Blue words” is in the place of “Red words” from the next take on."),
  ).toBeVisible();
  // What is on air stays as it was taken.
  expect(pixel(await shoot(wall), 40, 40)).toEqual([255, 0, 0, 255]);
  await page.getByRole("button", { name: "delete : Blue words" }).click();
  await expect(page.getByText("“Blue words” is deleted.")).toBeVisible();
  await expect(page.getByText("Blue words", { exact: true })).toHaveCount(0);
});

test("a clip that fills a portrait screen reaches both of its edges", async ({ page, show, openOutput }) => {
  await openDesk(page, show);
  const porch = await openOutput(show, 3);
  await porch.setViewportSize({ width: 540, height: 960 });
  await takeCue(page, "cue-0019");
  const box = () =>
    porch.evaluate(() => {
      const { left, right, top, bottom } =
        document.querySelector("video")?.getBoundingClientRect() ?? new DOMRect();
      return left <= 0 && right >= innerWidth && top <= 0 && bottom >= innerHeight;
    });
  await expect.poll(box).toBe(true);
});

/** Has an output send another signal. */
async function setSignal(show: RunningShow, outputId: string, sets: string): Promise<void> {
  await show.kill();
  const database = new SQLite(show.databaseFile);
  database.prepare(`update output set doc = json_set(doc, ${sets}) where id = ?`).run(outputId);
  database.close();
  await show.start();
}

for (const [what, sets] of [
  ["key", "'$.signal', 'key'"],
  ["straight fill", "'$.signal', 'fill', '$.fillAlpha', 'straight'"],
] as const)
  test(`a clip that is seen through moves on an output of the ${what}`, async ({
    page,
    show,
    openOutput,
  }) => {
    await setSignal(show, "wall", sets);
    // The lanterns as a moving backdrop with nothing beneath: they go round, so that no slow machine finds them ended.
    await openDesk(page, show, "design");
    await importAndWear(page, "Clip alone", {
      fieldSet: "loop",
      objects: [{ kind: "video", id: "clip", box: WHOLE, source: { kind: "field", field: "clip" } }],
    });
    await page.getByRole("link", { name: "Prepare" }).click();
    await (await scrollTo(page, cueButton(page, "cue-0019"))).click();
    await page.locator("[id^=edit-cue-0019]").getByRole("button", { name: "Lanterns rise" }).click();
    await saved(page);
    await goTo(page, "Run");
    const wall = await openOutput(show, 0);
    // Every frame is composed by the processor here: a quarter of the pixels tells as much.
    await wall.setViewportSize({ width: 960, height: 540 });
    await takeCue(page, "cue-0019");
    await expect.poll(async () => brightness(await shoot(wall))).toBeGreaterThan(0.1);
    let before = await shoot(wall);
    for (let i = 0; i < 2; i++) {
      await expect.poll(async () => largestDifference(await shoot(wall), before)).toBeGreaterThan(40);
      before = await shoot(wall);
    }
  });

test("a letter that no font has is a box until a font is added that has it: then open windows draw it", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "prepare");
  await cueButton(page, "cue-0004").click();
  await page.locator("#edit-cue-0004").fill("\u{13080} Ilse");
  await stayUntilOut(page, "cue-0004");
  await saved(page);
  await goTo(page, "Run");
  const wall = await openOutput(show, 0);
  await takeCue(page, "cue-0004");
  const words = () =>
    wall.evaluate(() =>
      [...document.querySelectorAll<HTMLCanvasElement>("canvas[data-piece*='/name/']")]
        .map((one) => one.toDataURL())
        .join(),
    );
  await expect.poll(words).not.toBe("");
  const boxes = await words();
  await page.goto(`${show.base}/library`);
  await page
    .getByLabel("Import files")
    .setInputFiles({ name: "old letters.ttf", mimeType: "font/ttf", buffer: fontWith(0x13080) });
  await expect(page.getByText("old letters", { exact: false }).first()).toBeVisible();
  await expect.poll(words).not.toBe(boxes);
});
