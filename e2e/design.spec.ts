import { readFileSync } from "node:fs";
import { createCanvas } from "@napi-rs/canvas";
import SQLite from "better-sqlite3";
import { PNG } from "pngjs";
import { brightness, largestDifference, pixel, shoot } from "./support/pixels.ts";
import {
  arm,
  chooseCue,
  cueButton,
  expect,
  goTo,
  openDesk,
  openWithLasting,
  saved,
  scrollTo,
  settled,
  takeCue,
  takeSteps,
  test,
} from "./support/show.ts";

test("another style is worn from the next take on; what is on air keeps its look", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeSteps(page, wall, 1);
  const before = await shoot(wall);
  await page.getByRole("link", { name: "Design" }).click();
  await expect(page.getByText("Harbour horizon", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: /^Chalk quay/ }).click();
  await page.getByRole("button", { name: "Use “Chalk quay”" }).click();
  await expect(page.getByText("This style is in use")).toBeVisible();
  expect(largestDifference(await shoot(wall), before)).toBe(0);
  await goTo(page, "Run");
  await takeCue(page, "cue-0031");
  await expect.poll(async () => brightness(await shoot(wall))).toBeGreaterThan(150);
});

test("a picture is brought in, put on a page and seen on the outputs; a file that is none is told", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "library");
  const canvas = createCanvas(300, 200);
  const context = canvas.getContext("2d");
  context.fillStyle = "#00ff00";
  context.fillRect(0, 0, 300, 200);
  const files = page.getByLabel("Import files");
  await files.setInputFiles({
    name: "broken.png",
    mimeType: "image/png",
    buffer: Buffer.from("not a picture"),
  });
  await expect(page.getByText(/not a picture that can be read/)).toBeVisible();
  await files.setInputFiles({
    name: "green field.png",
    mimeType: "image/png",
    buffer: canvas.toBuffer("image/png"),
  });
  await expect(page.getByRole("button", { name: /green field.png/ })).toContainText("300×200 · no alpha");
  await page.getByRole("link", { name: "Prepare" }).click();
  await page.getByRole("button", { name: "Empty page" }).click();
  await page.getByRole("menuitem", { name: "Picture", exact: true }).click();
  await page.getByRole("button", { name: "green field.png" }).click();
  await page.getByRole("textbox", { name: "Caption" }).fill("A field");
  await saved(page);
  await goTo(page, "Run");
  const wall = await openOutput(show, 0);
  await arm(page, page.locator("[data-step]", { hasText: "A field" }));
  await page.keyboard.press("Space");
  await expect.poll(async () => pixel(await shoot(wall), 960, 500)).toEqual([0, 255, 0, 255]);
});

test("a keyed clip plays on two outputs at once, cut out by a worker, and shows what lies beneath", async ({
  page,
  show,
  openOutput,
}) => {
  // The boat as a moving backdrop: it goes round, so that no slow machine finds it ended.
  await openDesk(page, show, "prepare");
  await (await scrollTo(page, cueButton(page, "cue-0019"))).click();
  await page.getByRole("button", { name: "Paper boat" }).click();
  await saved(page);
  await goTo(page, "Run");
  const screens = [await openOutput(show, 0), await openOutput(show, 3)] as const;
  await takeCue(page, "cue-0019");
  for (const screen of screens) {
    const keyed = screen.locator("canvas[data-keyed-by]");
    await expect(keyed).toHaveAttribute("data-keyed-by", "worker");
    await expect.poll(async () => Number(await keyed.getAttribute("data-frames"))).toBeGreaterThan(3);
  }
  // The green is gone: through a corner of the clip the porch's black is seen, and the boat stands before it.
  const shot = await shoot(screens[1]);
  expect(pixel(shot, 60, 60)).toEqual([0, 0, 0, 255]);
  expect(brightness(shot)).toBeGreaterThan(1);
});

test("clips on two outputs are at the same place, and are heard only where sound is on", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const stream = await openOutput(show, 1);
  const clip = (screen: typeof wall) =>
    screen.evaluate(() => {
      const video = document.querySelector("video");
      const box = video?.parentElement;
      return video && !video.paused
        ? {
            beganAtS: (performance.timeOrigin + performance.now()) / 1_000 - video.currentTime,
            muted: video.muted && box?.dataset.silenced !== "yes",
          }
        : undefined;
    });
  // Each clip's beginning on the clock of the machine: the same for both, to within a few frames.
  const mutedTogether = async () => {
    const [a, b] = await Promise.all([clip(wall), clip(stream)]);
    return a && b && Math.abs(a.beganAtS - b.beganAtS) < 0.2 ? [a.muted, b.muted] : "not together";
  };
  // The clip has six seconds, which a machine that stalls may pass over: then it comes again, after another page.
  // The wall plays sound (or was silenced by the browser, and says so); the stream does not.
  await expect(async () => {
    await takeCue(page, "cue-0018");
    await takeCue(page, "cue-0020");
    await expect.poll(mutedTogether, { timeout: 8_000 }).toEqual([false, true]);
  }).toPass();
});

test("an output of the key shows the alpha of the page in white over black", async ({
  page,
  show,
  openOutput,
}) => {
  await show.kill();
  const database = new SQLite(show.databaseFile);
  database.prepare("update output set doc = json_set(doc, '$.signal', 'key') where id = 'stream'").run();
  database.close();
  await show.start();
  await openWithLasting(page, show, "cue-0004");
  const key = await openOutput(show, 1);
  await takeCue(page, "cue-0004");
  // The arm and the take.
  await settled(key, 3);
  await expect.poll(async () => pixel(await shoot(key), 800, 900)[0]).toBeGreaterThan(200);
  const picture = await shoot(key);
  // Grey everywhere, black where nothing is, and on the words as white as on a solid bar can be.
  expect(pixel(picture, 960, 200)).toEqual([0, 0, 0, 255]);
  let colored = 0;
  for (let i = 0; i < picture.data.length; i += 4)
    if (picture.data[i] !== picture.data[i + 1] || picture.data[i] !== picture.data[i + 2]) colored++;
  expect(colored).toBe(0);
});

test("a template file is brought in, can be chosen on a page, and what cannot be read in it is told", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "design");
  const saving = page.waitForEvent("download");
  await page.getByRole("link", { name: /export ?: Name, bare/ }).click();
  const file = await (await saving).path();
  const template = JSON.parse(readFileSync(file, "utf8")) as { name: string; objects: unknown[] };
  template.name = "Name, our own";
  template.objects.push({ id: "hologram", kind: "hologram" });
  const input = page.getByLabel("Import a file");
  const send = (name: string, text: string) =>
    input.setInputFiles({ name, mimeType: "application/json", buffer: Buffer.from(text) });
  await send("broken.json", "{");
  await expect(page.getByText(/not JSON, so no template could be read/)).toBeVisible();
  await send("own.json", JSON.stringify(template));
  await expect(
    page.getByText(/“Name, our own” can be chosen on pages.*“hologram” is left out/),
  ).toBeVisible();
  await expect(page.getByText("name strap, to choose on a page").first()).toBeVisible();
  await send("own.json", JSON.stringify(template));
  await expect(page.getByText(/has a template called “Name, our own” already/)).toBeVisible();
  await page.getByRole("link", { name: "Prepare" }).click();
  await chooseCue(page, "cue-0004");
  await page
    .getByRole("combobox", { name: "Template" })
    .selectOption({ label: "Name, our own (Full words)" });
  await saved(page);
});

test("stills: any page at any time for the desk, what is on air by a link, with alpha, as fill and as key", async ({
  page,
  show,
  request,
  openOutput,
}) => {
  await openWithLasting(page, show, "cue-0004");
  const wall = await openOutput(show, 0);
  const token = show.outputLink(1).split("/").at(-1);
  const still = async (query: string, who = token) => request.get(`${show.base}/still/${who}?${query}`);
  const strap = "cue=cue-0004&output=stream";
  // The server's picture is the window's: the title on the wall, which is opaque to its corners.
  await takeSteps(page, wall, 1);
  const painted = PNG.sync.read(
    await (await request.get(`${show.base}/still/desk?cue=cue-0001&output=wall`)).body(),
  );
  const seen = await shoot(wall);
  // Five plates lie over one another here (sky, glow, line, halo, flame): each lays on to within one.
  expect(largestDifference(painted, seen)).toBeLessThanOrEqual(5);
  // A link sees what is on air and what comes next; the desk sees everything.
  expect((await still(strap)).status()).toBe(403);
  expect((await still(strap, "desk")).status()).toBe(200);
  await takeCue(page, "cue-0004");
  await settled(wall, 4);
  const rest = await still(strap);
  expect(rest.status()).toBe(200);
  const picture = PNG.sync.read(await rest.body());
  expect([picture.width, picture.height]).toEqual([1920, 1080]);
  expect(pixel(picture, 10, 10)).toEqual([0, 0, 0, 0]);
  expect(pixel(picture, 800, 900)[3]).toBeGreaterThan(200);
  // Half-way in, the bar is not yet uncovered to its end.
  const early = PNG.sync.read(await (await still(`${strap}&t=60`)).body());
  expect(pixel(early, 1060, 900)[3]).toBe(0);
  const key = PNG.sync.read(await (await still(`${strap}&signal=key&width=480`)).body());
  expect([key.width, pixel(key, 5, 5)]).toEqual([480, [0, 0, 0, 255]]);
  // A link that is none, an output's link for another output, and questions without sense.
  expect((await still(strap, "no-such-token-at-all")).status()).toBe(404);
  expect((await still("cue=cue-0004&output=wall")).status()).toBe(404);
  expect((await still("cue=cue-9999&output=stream")).status()).toBe(404);
  expect((await still("output=stream")).status()).toBe(400);
  expect((await still(`${strap}&width=90000`)).status()).toBe(400);
  expect((await still(`${strap}&width=3840`)).status()).toBe(403);
  expect((await still(`${strap}&width=3840`, "desk")).status()).toBe(200);
  expect((await still("cue=cue-0001&output=porch&width=7680", "desk")).status()).toBe(413);
});

test("words in a script whose font comes late are drawn as soon as it is here", async ({
  page,
  emptyShow,
  openOutput,
}) => {
  await openDesk(page, emptyShow, "prepare");
  const box = page.getByRole("textbox", { name: /Add to the rundown/ });
  await box.fill("海の灯, 港");
  await expect(page.getByText(/name strap: 海の灯/)).toBeVisible();
  await box.press("Enter");
  const wall = await openOutput(emptyShow, 0);
  const cjkFonts = () =>
    wall.evaluate(
      () =>
        performance.getEntriesByType("resource").filter(({ name }) => name.endsWith("/fonts/sawarabi-400"))
          .length,
    );
  await goTo(page, "Run");
  await expect(page.locator("[data-mark=next]")).toContainText("海の灯");
  await page.keyboard.press("Space");
  await settled(wall, 2);
  await expect.poll(cjkFonts).toBe(1);
  await expect.poll(async () => brightness(await shoot(wall))).toBeGreaterThan(0.3);
});

test("the gallery shows every object, and none of them is blank", async ({ page, show }) => {
  await page.goto(`${show.base}/gallery`);
  const pictures = page.getByRole("img");
  await expect.poll(() => pictures.count()).toBeGreaterThan(100);
  const blank = () =>
    page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>("[role=img]")]
        .filter((picture) => picture.ariaLabel?.endsWith("4000 ms"))
        .filter((picture) => !picture.querySelector("canvas"))
        .map((picture) => picture.ariaLabel),
    );
  await expect.poll(blank).toEqual(["in a time window, 0.2 to 0.6 s at 4000 ms"]);
});
