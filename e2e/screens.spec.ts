import { brightness, largestDifference, pixel, shoot } from "./support/pixels.ts";
import {
  arm,
  chooseCue,
  expect,
  goTo,
  hold,
  openDesk,
  output,
  saved,
  seqOf,
  settled,
  takeSteps,
  test,
} from "./support/show.ts";

// ITU-R BT.471 (100/0/75/0), from memory: white at full level, colours at 75 %, black.
const BARS = [
  [255, 255, 255],
  [191, 191, 0],
  [0, 191, 191],
  [0, 191, 0],
  [191, 0, 191],
  [191, 0, 0],
  [0, 0, 191],
  [0, 0, 0],
];

test("bars on every output with one press, in the colours of the standard, and a warning while they are on", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "screens");
  const wall = await openOutput(show, 0);
  const stream = await openOutput(show, 1);
  await page.getByRole("button", { name: "Bars", exact: true }).click();
  await expect(page.getByText("5 screens on test")).toBeVisible();
  for (const screen of [wall, stream]) {
    await expect(output(screen)).toHaveAttribute("data-test", "bars");
    const picture = await shoot(screen);
    for (const [i, color] of BARS.entries())
      expect(pixel(picture, Math.round((picture.width * (i + 0.5)) / 8), 300)).toEqual([...color, 255]);
  }
  // The air goes on beneath; the run view says why nobody sees it.
  await goTo(page, "Run");
  await expect(page.getByText("test pictures are on")).toBeVisible();
  await page.getByRole("button", { name: "Off", exact: true }).click();
  await expect(output(wall)).toHaveAttribute("data-test", "");
  expect(brightness(await shoot(stream))).toBe(0);
});

test("a plan is seen before it is used, switches all screens as one, and a cue made for another cannot go wrong", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await arm(page, page.locator('[data-step^="cue-0005/V1"]').first());
  await page.keyboard.press("Space");
  await settled(wall, 3);
  expect(brightness(await shoot(wall))).toBeGreaterThan(1);

  await goTo(page, "Screens");
  await page.getByRole("button", { name: "Walk", exact: true }).click();
  await expect(page.getByRole("img", { name: "On Loft wall under this plan" })).toBeVisible();
  // Looking changes nothing.
  expect(await seqOf(wall)).toBe(3);
  await hold(page, page.getByRole("button", { name: "Use “Walk” on all screens" }), () => settled(wall, 4));
  // The walk's plan shows no words on the wall.
  expect(brightness(await shoot(wall))).toBe(0);

  // A cue made for the evening's plan, taken under another: with its plan, or not at all.
  await goTo(page, "Prepare");
  await chooseCue(page, "cue-0005");
  await page.getByRole("combobox", { name: "Screen plan of this cue" }).selectOption({ label: "Evening" });
  await page.getByRole("combobox", { name: "Under another plan" }).selectOption({ label: "do not take" });
  await saved(page);
  await goTo(page, "Run");
  await arm(page, page.locator('[data-step^="cue-0005/V1"]').first());
  const before = await seqOf(wall);
  await page.keyboard.press("Space");
  await expect(page.getByText("made for another screen plan")).toBeVisible();
  expect(await seqOf(wall)).toBe(before);

  await goTo(page, "Prepare");
  await page
    .getByRole("combobox", { name: "Under another plan" })
    .selectOption({ label: "switch to it with the take" });
  await saved(page);
  await goTo(page, "Run");
  await arm(page, page.locator('[data-step^="cue-0005/V1"]').first());
  await page.keyboard.press("Space");
  await expect.poll(async () => brightness(await shoot(wall))).toBeGreaterThan(1);
  await expect(page.getByRole("button", { name: /^Evening ⇧1/ })).toHaveAttribute("title", "In use");
});

test("a new screen is there at once, with a link, a place in every plan, and the size it was given", async ({
  page,
  show,
  context,
}) => {
  await openDesk(page, show, "screens");
  await page.getByRole("button", { name: "Another screen" }).click();
  const name = page.getByRole("textbox", { name: "Name", exact: true });
  await expect(name).toHaveValue("Screen 6");
  await name.fill("Quay door");
  await name.press("Enter");
  await page.getByRole("combobox", { name: "Size" }).selectOption({ label: "1280 × 720" });
  await expect(page.getByRole("spinbutton", { name: "Wide, px" })).toHaveValue("1280");
  await page.reload();
  await page.getByRole("button", { name: "6 · Quay door" }).click();
  const path = await page.getByRole("link", { name: "Open here" }).getAttribute("href");
  const link = `${show.base}${path}`;
  const door = await context.newPage();
  await door.setViewportSize({ width: 1280, height: 720 });
  await door.goto(link);
  await expect(output(door)).toHaveAttribute("data-ready", "yes");
  await expect(page.locator("article", { hasText: "Quay door" })).toContainText("live");

  // Turned on the desk, the window turns; the picture is the same, standing on its side.
  await page.getByText("Onto the glass").click();
  await page.getByRole("button", { name: "Identify", exact: true }).click();
  await expect(output(door)).toHaveAttribute("data-test", "identify");
  const upright = await shoot(door);
  await page.getByRole("combobox", { name: "Turned" }).selectOption({ label: "upside down" });
  await expect
    .poll(async () => {
      const turned = await shoot(door);
      const { width, height } = turned;
      for (const [x, y] of [
        [640, 320],
        [600, 300],
        [700, 420],
      ] as const)
        if (pixel(turned, width - 1 - x, height - 1 - y).join() !== pixel(upright, x, y).join())
          return "other";
      return "turned";
    })
    .toBe("turned");

  // A renewed link ends the old one at once.
  await page.getByRole("button", { name: "New link" }).first().click();
  await expect(output(door)).toHaveAttribute("data-connection", "refused");
  const answer = await page.request.get(link);
  expect(answer.status()).toBe(404);
});

test("two outputs that are halves of one wall show one page across both", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "screens");
  const whole = await openOutput(show, 0);
  await takeSomething();
  const picture = await shoot(whole);
  await page.goto(`${show.base}/screens`);
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
  await page.getByText("Part of a wall").click();
  await page.getByRole("checkbox", { name: "Shows a part of a larger canvas" }).click();
  await expect(page.getByRole("checkbox", { name: "Shows a part of a larger canvas" })).toBeChecked();
  const field = (name: string) => page.getByRole("spinbutton", { name });
  await expect(field("Canvas wide, px")).toHaveValue("3840");
  // A part as large as half of the very same canvas: its left half is the left half of the whole picture.
  for (const [name, value] of [
    ["Canvas wide, px", "1920"],
    ["Wide, px", "960"],
  ] as const) {
    await field(name).first().fill(value);
    await field(name).first().press("Enter");
    await expect(field(name).first()).toHaveValue(value);
  }
  await whole.setViewportSize({ width: 960, height: 1080 });
  await expect
    .poll(async () => {
      const half = await shoot(whole);
      return half.width === 960 ? leftDifference(picture, half) : 255;
    })
    .toBeLessThanOrEqual(1);

  async function takeSomething() {
    await goTo(page, "Run");
    await takeSteps(page, whole, 1);
  }
  function leftDifference(
    a: Awaited<ReturnType<typeof shoot>>,
    b: Awaited<ReturnType<typeof shoot>>,
  ): number {
    let largest = 0;
    for (let y = 0; y < 1080; y += 3)
      for (let x = 0; x < 960; x += 3)
        for (const [i, value] of pixel(a, x, y).entries())
          largest = Math.max(largest, Math.abs(value - (pixel(b, x, y)[i] as number)));
    return largest;
  }
});

test("the multi-view shows everything and can do nothing; a device becomes a screen by a short code, once", async ({
  page,
  show,
  browser,
}) => {
  await openDesk(page, show, "screens");
  const link = await page.getByRole("link", { name: "Open the multi-view" }).getAttribute("href");
  const watcher = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await watcher.goto(`${show.base}${link}`);
  for (const name of ["Loft wall", "Stream", "Quay ribbon", "Porch", "Singers"])
    await expect(watcher.getByRole("heading", { name: new RegExp(name) })).toBeVisible();
  // A screen that goes into the mixer wears its tally, here and on its card in Run, and no other does.
  await openDesk(page, show, "triggers");
  await page.getByRole("button", { name: "New source" }).click();
  await page.getByLabel("Its picture here is").selectOption("screen");
  await page.getByLabel("Which", { exact: true }).selectOption({ label: "Stream" });
  const source = page.getByRole("region", { name: "Sources" }).getByRole("listitem").last();
  for (const bus of ["preview", "program"] as const) {
    await source.getByTitle(new RegExp(`^Says by hand .*${bus}$`)).click();
    await expect(watcher.getByTitle(`The mixer has this screen on ${bus}`)).toHaveCount(1);
    await expect(
      watcher
        .getByRole("article")
        .filter({ hasText: "Stream" })
        .getByText(bus.toUpperCase(), { exact: true }),
    ).toBeVisible();
  }
  await watcher.keyboard.press("Space");
  await goTo(page, "Run");
  await expect(page.getByTitle("The mixer has this screen on program")).toHaveCount(1);
  await expect(page.locator("[data-mark=air]")).toHaveCount(0);
  await page.keyboard.press("Space");
  await expect(watcher.getByText("Night harbour").first()).toBeVisible();

  await goTo(page, "Screens");
  await page.getByRole("button", { name: "Short code" }).click();
  const code = await page.locator("strong.font-mono").innerText();
  expect(code).toMatch(/^\d{6}$/);
  // Whoever only asks whether the address is there uses no code up.
  expect((await page.request.head(`${show.base}/screen?code=${code}`)).status()).toBe(200);
  const device = await (await browser.newContext({ viewport: { width: 1920, height: 1080 } })).newPage();
  await device.goto(`${show.base}/screen`);
  await device.getByLabel("Type the six figures that the desk shows.").fill(code);
  await device.keyboard.press("Enter");
  await expect(output(device)).toHaveAttribute("data-ready", "yes");
  expect((await device.request.get(`${show.base}/screen?code=${code}`)).status()).toBe(404);
});

test("the passcode is asked for, counted and never told", async ({ page, show }) => {
  await openDesk(page, show, "screens");
  const post = (passcode: string) =>
    page.request.post(`${show.base}/enter`, {
      data: { passcode },
      headers: { "Content-Type": "application/json" },
    });
  expect((await post("anything at all")).status()).toBe(403);
  await page.getByLabel("A passcode, six characters or more").fill("lamp-quay-7");
  await page.getByRole("button", { name: "Set", exact: true }).click();
  await expect(page.getByText("The passcode is set.")).toBeVisible();
  expect((await post("lamp-quay-8")).status()).toBe(403);
  // This machine is in already: it is given no cookie.
  const right = await post("lamp-quay-7");
  expect([right.status(), right.headers()["set-cookie"]]).toEqual([200, undefined]);
  const tried = await Promise.all(
    Array.from({ length: 10 }, () => post("guess").then((answer) => answer.status())),
  );
  expect(tried).toContain(429);
  expect(await page.content()).not.toContain("lamp-quay-7");
});

test("an output that is not touched is drawn as before: nothing is turned, moved or scaled", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeSteps(page, wall, 3);
  const picture = await shoot(wall);
  expect(
    await output(wall)
      .locator("> div")
      .first()
      .evaluate((element) => getComputedStyle(element).transform),
  ).toBe("none");
  const again = await openOutput(show, 0);
  await settled(again, await seqOf(wall));
  expect(largestDifference(picture, await shoot(again))).toBeLessThanOrEqual(1);
});
