import { readFile } from "node:fs/promises";
import type { Locator, Page } from "@playwright/test";
import { unzipSync } from "fflate";
import { PNG } from "pngjs";
import { largestDifference } from "./support/pixels.ts";
import { expect, goTo, openDesk, test } from "./support/show.ts";

/** A part of “Save as files”, with the screen chosen that is the quickest to paint. */
async function openFiles(page: Page, name: "Stills" | "A page in motion"): Promise<Locator> {
  await goTo(page, "Paper");
  await page.getByRole("button", { name: "Save as files" }).click();
  const part = page.getByRole("dialog", { name: "Save as files" }).getByRole("region", { name, exact: true });
  await part.getByRole("combobox", { name: /^O[nf] which screen$/ }).selectOption({ label: "Quay ribbon" });
  return part;
}

async function savedBy(page: Page, button: Locator): Promise<Buffer> {
  const download = page.waitForEvent("download");
  await button.click();
  return readFile(await (await download).path());
}

const picturesIn = (zip: Buffer) =>
  Object.entries(unzipSync(new Uint8Array(zip))).map(([name, bytes]) => ({
    name,
    png: PNG.sync.read(Buffer.from(bytes)),
  }));

const alphas = (png: PNG) => new Set(png.data.filter((_, index) => index % 4 === 3));

test("stills of every page on a screen, in one archive: each a PNG of the screen's size, with alpha or over black", async ({
  page,
  show,
}) => {
  await openDesk(page, show);
  const stills = await openFiles(page, "Stills");
  const kept = async (form: string) => {
    await stills.getByRole("combobox", { name: "How they are painted" }).selectOption({ label: form });
    return picturesIn(await savedBy(page, stills.getByRole("button", { name: /^Save \d+ pictures$/ })));
  };
  const clear = await kept("with alpha");
  const isSong = ({ name }: { name: string }) => name.startsWith("005-01 Carry the Lamp Down - Quay ribbon");
  const song = clear.find(isSong)?.png as PNG;
  for (const { png } of clear) expect([png.width, png.height]).toEqual([1920, 360]);
  expect(alphas(song).has(0)).toBe(true);
  const black = await kept("over black");
  expect(black.map(({ name }) => name)).toEqual(clear.map(({ name }) => name));
  expect([...alphas(black.find(isSong)?.png as PNG)]).toEqual([255]);

  // The whole screen: the words lie on the backdrop that was taken before them.
  await stills.getByRole("combobox", { name: "What is on a picture" }).selectOption("whole");
  const whole = await kept("with alpha");
  const wholeSong = whole.find(isSong)?.png as PNG;
  expect([...alphas(wholeSong)]).toEqual([255]);
  expect(largestDifference(wholeSong, black.find(isSong)?.png as PNG)).toBeGreaterThan(10);
});

test("a page's whole life as pictures and as a clip with alpha: it comes, stands and is gone; it can be called off", async ({
  page,
  show,
}) => {
  await openDesk(page, show);
  const life = await openFiles(page, "A page in motion");
  const words = life.getByRole("option", { name: /^5 Carry the Lamp Down/ }).first();
  await life.getByRole("combobox", { name: "Which page" }).selectOption(await words.getAttribute("value"));
  await life.getByRole("spinbutton", { name: /leaves after/ }).fill("2");
  await life.getByRole("combobox", { name: /frames a second/ }).selectOption("another");
  await life.getByRole("spinbutton", { name: "Frames a second" }).fill("10");
  await life.getByRole("spinbutton", { name: "Frames a second" }).press("Enter");
  const frames = picturesIn(await savedBy(page, life.getByRole("button", { name: "Save pictures" })));
  expect(frames.map(({ name }) => name.slice(-9))).toEqual(
    frames.map((_, index) => `${String(index + 1).padStart(5, "0")}.png`),
  );
  // Longer than it stays, by its leaving, and no longer than a motion may be.
  expect(frames.length).toBeGreaterThan(20);
  expect(frames.length).toBeLessThan(60);
  const at = (index: number) => frames.at(index)?.png as PNG;
  expect([...alphas(at(-1))]).toEqual([0]);
  expect(alphas(at(19)).has(255)).toBe(true);
  expect(largestDifference(at(18), at(19))).toBe(0);
  expect(largestDifference(at(2), at(19))).toBeGreaterThan(0);

  const clip = await savedBy(page, life.getByRole("button", { name: "Save as WebM" }));
  const other = await page.context().newPage();
  const seen = await other.evaluate(
    async ({ base64, atS }) => {
      const video = document.createElement("video");
      video.muted = true;
      video.preload = "auto";
      video.src = `data:video/webm;base64,${base64}`;
      await new Promise((done) => video.addEventListener("loadeddata", done, { once: true }));
      const look = async (seconds: number) => {
        video.currentTime = seconds;
        await new Promise((done) => video.addEventListener("seeked", done, { once: true }));
        const canvas = new OffscreenCanvas(video.videoWidth, video.videoHeight);
        const context = canvas.getContext("2d") as OffscreenCanvasRenderingContext2D;
        context.drawImage(video, 0, 0);
        const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
        let [clear, full] = [0, 0];
        for (let index = 3; index < data.length; index += 4)
          if ((data[index] as number) < 8) clear++;
          else if ((data[index] as number) > 247) full++;
        return { clear: (4 * clear) / data.length, full: (4 * full) / data.length };
      };
      return {
        ...{ widthPx: video.videoWidth, heightPx: video.videoHeight, seconds: video.duration },
        ...{ stands: await look(atS), gone: await look(video.duration - 0.01) },
      };
    },
    { base64: clip.toString("base64"), atS: 1.95 },
  );
  expect([seen.widthPx, seen.heightPx]).toEqual([1920, 360]);
  expect(seen.seconds).toBeCloseTo(frames.length / 10, 1);
  // As much of it is clear, and as much is full, as of the picture of that frame.
  const shares = (png: PNG) => {
    const all = [...png.data].filter((_, index) => index % 4 === 3);
    const share = (is: (alpha: number) => boolean) => all.filter(is).length / all.length;
    return { clear: share((alpha) => alpha < 8), full: share((alpha) => alpha > 247) };
  };
  const expected = shares(at(19));
  expect(seen.stands.clear).toBeCloseTo(expected.clear, 1);
  expect(seen.stands.full).toBeCloseTo(expected.full, 1);
  expect(expected.full).toBeGreaterThan(0.01);
  expect(seen.gone.clear).toBeGreaterThan(0.99);
  await other.close();

  // Another length of stay is another life, of which no picture is kept.
  await life.getByRole("spinbutton", { name: /leaves after/ }).fill("9");
  await life.getByRole("combobox", { name: /frames a second/ }).selectOption("60");
  await life.getByRole("button", { name: "Save pictures" }).click();
  await life.getByRole("button", { name: "Cancel" }).click();
  await expect(page.getByText("Called off. No file was made.")).toBeVisible();
});
