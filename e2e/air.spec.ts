import { brightness, LAYER_ROUNDING, largestDifference, pixel, shoot } from "./support/pixels.ts";
import {
  arm,
  expect,
  marked,
  openDesk,
  output,
  seqOf,
  settled,
  takeSteps,
  takeToSong,
  takeUntil,
  tap,
  test,
} from "./support/show.ts";

test("by keyboard alone, words come to two screens, each in its own shape", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const stream = await openOutput(show, 1);
  expect(brightness(await shoot(wall))).toBe(0);
  // Backdrop, corner mark, title, strap, and the first step of the song.
  await takeSteps(page, wall, 5);
  await settled(stream, await seqOf(wall));
  await expect
    .poll(async () => (await marked(page, "air")).join("\n"))
    .toContain("The tide has gone to fetch the moon");
  await expect.poll(async () => (await marked(page, "next"))[0]).toContain("we carry down the little lamps");
  const wallPicture = await shoot(wall);
  const streamPicture = await shoot(stream);
  // The wall is opaque to its corners; the stream is clear but for its band and marks.
  expect(pixel(wallPicture, 5, 5)[3]).toBe(255);
  expect(pixel(streamPicture, 960, 300)).toEqual([0, 0, 0, 0]);
  expect(pixel(streamPicture, 1400, 960)[3]).toBeGreaterThan(180);
});

test("before, during and after a take: the picture comes by degrees and then stands", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const before = brightness(await shoot(wall));
  // Screenshots of a busy machine may all miss the motion: the window notes its own frames.
  await wall.evaluate(() => {
    const seen: number[] = [];
    Object.assign(window, { seen });
    const note = () => {
      for (const piece of document.querySelectorAll<HTMLElement>("[data-piece]"))
        seen.push(Number(getComputedStyle(piece).opacity));
      requestAnimationFrame(note);
    };
    note();
  });
  await page.keyboard.press("Space");
  await settled(wall, 2);
  const after = brightness(await shoot(wall));
  expect(before).toBe(0);
  expect(after).toBeGreaterThan(10);
  const opacities = () => wall.evaluate(() => (window as unknown as { seen: number[] }).seen);
  await takeUntil(page, wall, async () =>
    (await opacities()).some((opacity) => opacity > 0.02 && opacity < 0.98),
  );
  expect((await opacities()).at(-1)).toBe(1);
});

test("the bar stays to the pixel while the words change", async ({ page, show, openOutput }) => {
  await openDesk(page, show);
  const stream = await openOutput(show, 1);
  await takeToSong(page, stream);
  const before = await shoot(stream);
  const seq = await seqOf(stream);
  // Every frame of the change: where the panel stands, how solid it is, and how many contents of the words are up.
  await stream.evaluate(() => {
    const samples: { panel: string; words: number }[] = [];
    (window as unknown as { samples: typeof samples }).samples = samples;
    const sample = () => {
      const panels = [...document.querySelectorAll<HTMLElement>('[data-piece*="/panel/"]')];
      samples.push({
        panel: panels
          .map((p) =>
            JSON.stringify([p.getBoundingClientRect(), p.style.opacity, p.style.transform, p.style.clipPath]),
          )
          .join(),
        words: document.querySelectorAll('[data-piece*="/words/"]').length,
      });
      requestAnimationFrame(sample);
    };
    sample();
  });
  await page.keyboard.press("Space");
  await settled(stream, seq + 1);
  const after = await shoot(stream);
  const samples = () =>
    stream.evaluate(() => (window as unknown as { samples: { panel: string; words: number }[] }).samples);
  await takeUntil(page, stream, async () => Math.max(...(await samples()).map(({ words }) => words)) === 2);
  expect(new Set((await samples()).map(({ panel }) => panel)).size).toBe(1);
  const leftOfWords = { x: 220, y: 800, width: 60, height: 200 };
  expect(largestDifference(before, after, leftOfWords)).toBe(0);
  expect(largestDifference(before, after, { x: 278, y: 822, width: 1364, height: 156 })).toBeGreaterThan(100);
});

test("a picture on the desk at output size is the output, to the pixel", async ({
  page,
  show,
  openOutput,
}) => {
  await page.setViewportSize({ width: 2100, height: 1300 });
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const stream = await openOutput(show, 1);
  await takeSteps(page, wall, 6);
  await settled(stream, await seqOf(wall));
  for (const [name, screen] of [
    ["Loft wall", wall],
    ["Stream", stream],
  ] as const) {
    await page.getByRole("button", { name: `Enlarge ${name}` }).click();
    const picture = page.getByRole("img", { name: `On ${name} now, enlarged` });
    await expect(picture.locator("canvas").first()).toBeVisible();
    // The stand-in picture is not ours to compare: the graphics are, over one plain colour.
    if (name === "Stream") {
      await picture.locator("[data-beneath=program]").evaluate((element) => {
        element.style.background = "#224466";
      });
      await screen.evaluate(() => {
        document.body.style.background = "#224466";
      });
    }
    const shown = await shoot(picture);
    expect([shown.width, shown.height]).toEqual([1920, 1080]);
    // Polled: both have to come to rest alike.
    await expect
      .poll(async () => largestDifference(await shoot(picture), await shoot(screen)))
      .toBeLessThanOrEqual(LAYER_ROUNDING);
    await page.keyboard.press("Escape");
    await expect(picture).toBeHidden();
  }
  await expect.poll(async () => (await marked(page, "air")).length).toBeGreaterThan(0);
});

test("a window loaded again in the middle of a motion, or opened late, shows what the others show", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const other = await openOutput(show, 0);
  await page.keyboard.press("Space");
  await expect(output(wall)).toHaveAttribute("data-seq", "2");
  await wall.reload();
  await expect(output(wall)).toHaveAttribute("data-ready", "yes");
  await settled(wall, 2);
  await settled(other, 2);
  const late = await openOutput(show, 0);
  await settled(late, 2);
  const picture = await shoot(other);
  expect(largestDifference(await shoot(wall), picture)).toBeLessThanOrEqual(LAYER_ROUNDING);
  expect(largestDifference(await shoot(late), picture)).toBeLessThanOrEqual(LAYER_ROUNDING);
});

test("cut has no motion; undo puts back; out, clear and clear everything take off what they say", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const stream = await openOutput(show, 1);
  await takeSteps(page, stream, 5);
  const seq = await seqOf(stream);
  await page.keyboard.press("4");
  await settled(stream, seq + 1);
  const words = await shoot(stream);
  await page.keyboard.press("x");
  await settled(stream, seq + 2);
  expect(largestDifference(await shoot(stream), words)).toBeGreaterThan(100);
  await page.keyboard.press("u");
  await settled(stream, seq + 3);
  expect(largestDifference(await shoot(stream), words)).toBe(0);
  await page.keyboard.press("o");
  await settled(stream, seq + 4);
  await expect.poll(() => marked(page, "air")).toHaveLength(2);
  // Taken again, then cleared: what is persistent stays.
  await page.keyboard.press("Space");
  await settled(stream, seq + 5);
  await page.keyboard.down("Escape");
  await settled(stream, seq + 6);
  await page.keyboard.up("Escape");
  await expect.poll(() => marked(page, "air")).toHaveLength(2);
  await page.keyboard.down("Delete");
  await settled(stream, seq + 7);
  await page.keyboard.up("Delete");
  await expect.poll(() => marked(page, "air")).toHaveLength(0);
  expect(brightness(await shoot(stream))).toBe(0);
});

test("a short press of a guarded key does nothing; arming and scrolling do nothing to the air", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeSteps(page, wall, 3);
  const before = await shoot(wall);
  for (const key of ["Escape", "Delete"]) await tap(page, key);
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("ArrowRight");
  await expect(page.getByText("NEXT · ARMED")).toBeVisible();
  await arm(page, page.locator("[data-step]", { hasText: "boat school" }).first());
  await expect(page.locator("[data-mark=next]")).toContainText("Noor Halvard");
  await page.mouse.wheel(0, 900);
  expect(largestDifference(await shoot(wall), before)).toBe(0);
  // The armed step is what the take key brings; then the script goes on behind it.
  await page.keyboard.press("Space");
  await expect(page.locator("[data-mark=air]", { hasText: "Noor Halvard" })).toBeVisible();
  await expect(page.locator("[data-mark=next]")).toContainText("In the beginning was the Word");
  await page.keyboard.press("ArrowUp");
  await page.keyboard.press("Home");
  await expect(page.locator("[data-mark=next]")).toContainText("In the beginning was the Word");
});

test("the take button keeps no focus: a key after a click is one press of its own", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const take = page.getByRole("button", { name: /^Take next/ });
  await take.click();
  await settled(wall, 2);
  await page.keyboard.press("Enter");
  await page.keyboard.press("Space");
  await settled(wall, 3);
  await expect(page.locator("[data-mark=next]")).toContainText("Lantern Evening");
  // Focused on purpose, it takes once for Space and once for Enter.
  await take.focus();
  await page.keyboard.press("Space");
  await settled(wall, 4);
  await page.keyboard.press("Enter");
  await settled(wall, 5);
});

test("presses at speed are all taken, one after the other", async ({ page, show, openOutput }) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  for (let i = 0; i < 4; i++) await page.keyboard.press("Space");
  await settled(wall, 5);
  await expect(page.locator("[data-mark=air]", { hasText: "Ilse Tarrow" })).toBeVisible();
});
