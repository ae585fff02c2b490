import type { Locator, Page } from "@playwright/test";
import type { PNG } from "pngjs";
import { brightness, largestDifference, pixel, shoot, withoutEdge } from "./support/pixels.ts";
import {
  arm,
  chooseCue,
  expect,
  goTo,
  openDesk,
  output,
  saved,
  seqOf,
  settled,
  takeSteps,
  test,
} from "./support/show.ts";

// Windows half as wide: they are compared with one another only, and cost a quarter.
test.use({ outputWindow: { width: 960, height: 540 } });

const SIZE = { width: 960, height: 540 };

/** Chooses a screen in the Screens view. */
async function choose(page: Page, name: string): Promise<void> {
  await page.getByRole("button", { name: new RegExp(`^\\d+ · ${name}$`) }).click();
  await expect(page.getByRole("textbox", { name: "Name", exact: true })).toHaveValue(name);
}

async function fill(page: Page, label: string, value: string): Promise<void> {
  const field = page.getByRole("spinbutton", { name: label }).first();
  await field.fill(value);
  await field.press("Enter");
  await expect(field).toHaveValue(value);
}

/** Arms the first words of the demo's first song and takes them. */
async function takeSong(page: Page, screen: Page): Promise<void> {
  const before = await seqOf(screen);
  await arm(page, page.locator('[data-step^="cue-0005/V1"]').first());
  await page.keyboard.press("Space");
  await settled(screen, before + 2);
}

/** Over a background: picture × alpha + background × (1 − alpha), per channel. */
function over(color: number, alpha: number, ground: number): number {
  return color * alpha + ground * (1 - alpha);
}

const GROUNDS = [0, 90, 255];

/** The largest difference between the picture over a ground, and fill and key over it by the keyer's arithmetic. */
function keyerDifference(picture: PNG, pair: PNG, isStraight: boolean): number {
  let largest = 0;
  for (let y = 0; y < SIZE.height; y += 2)
    for (let x = 0; x < SIZE.width; x += 2) {
      const seen = pixel(picture, x, y);
      const fill = pixel(pair, x, y);
      const key = (pixel(pair, x + SIZE.width, y)[0] as number) / 255;
      for (const ground of GROUNDS)
        for (let channel = 0; channel < 3; channel++) {
          const wanted = over(seen[channel] as number, (seen[3] as number) / 255, ground);
          const own = (fill[channel] as number) * (isStraight ? key : 1);
          largest = Math.max(largest, Math.abs(wanted - (own + ground * (1 - key))));
        }
    }
  return largest;
}

test("fill and key in one window, over any picture, are the transparent output over it: premultiplied and straight", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "screens");
  await choose(page, "Stream");
  await fill(page, "Wide, px", `${SIZE.width}`);
  await fill(page, "High, px", `${SIZE.height}`);
  const stream = await openOutput(show, 1);
  await stream.setViewportSize(SIZE);
  await goTo(page, "Run");
  await takeSong(page, stream);
  const picture = await shoot(stream);
  expect(brightness(picture)).toBeGreaterThan(1);

  await goTo(page, "Screens");
  await choose(page, "Stream");
  await page.getByRole("combobox", { name: "Signal" }).selectOption({ label: "fill and key, double wide" });
  await stream.setViewportSize({ width: SIZE.width * 2, height: SIZE.height });
  const pairOf = async () => {
    const pair = await shoot(stream);
    return pair.width === SIZE.width * 2 && brightness(pair) > 1 ? pair : undefined;
  };
  // Rounding: the key is a byte, and the screenshot's straight colours were divided by another.
  const ALLOWED = 3;
  await expect
    .poll(async () => {
      const pair = await pairOf();
      return pair ? keyerDifference(picture, pair, false) : 255;
    })
    .toBeLessThanOrEqual(ALLOWED);
  await page
    .getByRole("combobox", { name: "Colours of the fill" })
    .selectOption({ label: "undimmed by the key (straight)" });
  await expect
    .poll(async () => {
      const pair = await pairOf();
      return pair ? keyerDifference(picture, pair, true) : 255;
    })
    .toBeLessThanOrEqual(ALLOWED);
});

test("a cue limited to one screen leaves the others, and a step of it brings its plan", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "prepare");
  await chooseCue(page, "cue-0005");
  for (const name of ["Loft wall", "Quay ribbon", "Porch", "Singers"])
    await page.getByRole("group", { name: "On" }).getByRole("button", { name }).click();
  await page.getByRole("button", { name: "from a step on" }).click();
  await page.getByRole("combobox", { name: "Plan of plan change 1" }).selectOption({ label: "Walk" });
  await saved(page);

  await goTo(page, "Run");
  const wall = await openOutput(show, 0);
  const stream = await openOutput(show, 1);
  await takeSteps(page, wall, 1);
  await takeSong(page, stream);
  await settled(wall, await seqOf(stream));
  const wallThen = await shoot(wall);
  const streamThen = await shoot(stream);
  expect(brightness(streamThen)).toBeGreaterThan(1);
  await expect(page.getByText("Stream: Carry the Lamp Down")).toBeVisible();
  const before = await seqOf(stream);
  await page.keyboard.press("Space");
  await settled(stream, before + 2);
  await settled(wall, before + 2);
  // The step switched the plan: two events, one press.
  await expect(page.getByRole("button", { name: /^Walk ⇧/ })).toHaveAttribute("aria-pressed", "true");
  expect(largestDifference(await shoot(wall), wallThen)).toBeLessThanOrEqual(1);
  expect(largestDifference(await shoot(stream), streamThen)).toBeGreaterThan(50);
});

test("a plan is looked at in Run before it is used, and has a key", async ({ page, show, openOutput }) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeSong(page, wall);
  await page.getByRole("button", { name: /^Walk ⇧/ }).click();
  await expect(page.getByRole("button", { name: "Use it", exact: true })).toBeVisible();
  const seq = await seqOf(wall);
  // In its picture of what the wall would become there are no words; what is next stays as it is.
  const under = page.getByRole("img", { name: "On Loft wall under Walk" });
  const wordsIn = async (picture: Locator) => brightness(withoutEdge(await shoot(picture), 4));
  await expect.poll(() => wordsIn(under)).toBeLessThan(1);
  const next = page.getByRole("img", { name: "On Loft wall after the next take" });
  expect(await wordsIn(next)).toBeGreaterThan(1);
  expect(await seqOf(wall)).toBe(seq);
  await page.keyboard.press("Shift+Digit2");
  await settled(wall, seq + 1);
  expect(brightness(await shoot(wall))).toBe(0);
  await page.keyboard.press("Shift+Digit1");
  await settled(wall, seq + 2);
  expect(brightness(await shoot(wall))).toBeGreaterThan(1);
});

test("a trim of brightness and gamma is the curve it says @long", async ({ page, show, openOutput }) => {
  await openDesk(page, show, "screens");
  const wall = await openOutput(show, 0);
  await page.getByRole("button", { name: "Ramp", exact: true }).click();
  await expect(output(wall)).toHaveAttribute("data-test", "ramp");
  const plain = await shoot(wall);
  await page.getByText("Onto the glass").click();
  await fill(page, "Brightness, times", "0.8");
  await fill(page, "Gamma", "1.2");
  const curve = (value: number) => 255 * 0.8 * (value / 255) ** (1 / 1.2);
  await expect
    .poll(async () => {
      const trimmed = await shoot(wall);
      let largest = 0;
      for (let x = 4; x < trimmed.width; x += 40) {
        const before = pixel(plain, x, 100)[0] as number;
        largest = Math.max(largest, Math.abs(curve(before) - (pixel(trimmed, x, 100)[0] as number)));
      }
      return largest;
    })
    .toBeLessThanOrEqual(1);
  await expect(page.locator("article", { hasText: "Loft wall" })).toContainText("its trim costs frames");
});

test("flash and tick come on the same instant everywhere, and a browser that lets no sound out is told of @long", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "screens");
  const screens = [await openOutput(show, 0), await openOutput(show, 1)];
  await page.getByRole("button", { name: "Flash and tick" }).click();
  for (const screen of screens) await expect(output(screen)).toHaveAttribute("data-test", "sync");
  // Where in its second each window's flash is, by the machine's one clock.
  const phases = await Promise.all(
    screens.map((screen) =>
      output(screen).evaluate((main) => {
        const motion = main.getAnimations({ subtree: true })[0];
        const frameMs = Number(document.timeline.currentTime) + performance.timeOrigin;
        return (((Number(motion?.currentTime) - frameMs) % 1_000) + 1_000) % 1_000;
      }),
    ),
  );
  const apart = Math.abs((phases[0] as number) - (phases[1] as number));
  // One frame at 60 a second, and what the clocks are known to.
  expect(Math.min(apart, 1_000 - apart)).toBeLessThan(17);
  // The wall plays sound; nobody has clicked in its window.
  await expect(output(screens[0] as Page)).toHaveAttribute("data-sound", "on");
  const row = page.locator("article", { hasText: "Loft wall" });
  await expect(row).not.toContainText("no sound");
  // A browser that waits for a click: headless Chromium does not, so it is made to.
  const strict = screens[0] as Page;
  await strict.addInitScript(() => {
    let isClicked = false;
    addEventListener("pointerdown", () => {
      isClicked = true;
    });
    const get = () => (isClicked ? "running" : "suspended");
    Object.defineProperty(AudioContext.prototype, "state", { get });
  });
  await strict.reload();
  await expect(output(strict)).toHaveAttribute("data-sound", "refused");
  await expect(row).toContainText("no sound");
  await strict.mouse.click(300, 300);
  await expect(output(strict)).toHaveAttribute("data-sound", "on");
  await expect(row).not.toContainText("no sound");
});

test("two windows on one link are both right and both counted; one that sleeps is said to", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "screens");
  const first = await openOutput(show, 0);
  const second = await openOutput(show, 0);
  const row = page.locator("article", { hasText: "Loft wall" });
  await expect(row).toContainText("2 windows, all shown alike");
  await goTo(page, "Run");
  await takeSong(page, first);
  await settled(second, await seqOf(first));
  expect(largestDifference(await shoot(first), await shoot(second))).toBeLessThanOrEqual(1);
  await second.evaluate(() => {
    Object.defineProperty(document, "hidden", { value: true });
    document.dispatchEvent(new Event("visibilitychange"));
  });
  await goTo(page, "Screens");
  await expect(row).toContainText("asleep");
  await second.close();
  await expect(row).not.toContainText("asleep");
  await first.close();
  await expect(row).toContainText(/lost/);
});

test("a screen has a place in the room, moved by keys, and says what its farthest seat can read", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "screens");
  await choose(page, "Loft wall");
  // 12 m before 2.8 m of 1080 px: 12 / 200 / 2.8 × 1080 = 23.1, so 24 px.
  await expect(page.getByText(/capitals are at least/)).toContainText("24 px");
  await page.getByRole("button", { name: "Room" }).click();
  const wall = page.getByRole("button", { name: /^Loft wall, 10 m from the left, 0.5 m from the front/ });
  await wall.focus();
  await page.keyboard.press("ArrowDown");
  await expect(page.getByRole("button", { name: /^Loft wall, 10 m from the left, 1 m/ })).toBeVisible();
  await page.keyboard.press("r");
  await expect(page.getByRole("button", { name: /^Loft wall.*facing 45°/ })).toBeVisible();
  await page.reload();
  await page.getByRole("button", { name: "Room" }).click();
  await expect(page.getByRole("button", { name: /^Loft wall, 10 m.*1 m.*facing 45°/ })).toBeVisible();
});

test("an output is opened on a monitor of this machine, where the browser tells of monitors", async ({
  page,
  show,
  context,
}) => {
  await openDesk(page, show, "screens");
  await page.getByRole("button", { name: "On a monitor…" }).click();
  // Headless Chromium has the call and nobody to allow it.
  await expect(page.getByText(/was not allowed to say which monitors/)).toBeVisible();
  await page.addInitScript(() => {
    const monitor = { label: "Projector", availLeft: 0, availTop: 0, availWidth: 1920, availHeight: 1080 };
    Object.assign(window, { getScreenDetails: async () => ({ screens: [monitor] }) });
  });
  await page.reload();
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
  await page.getByRole("button", { name: "On a monitor…" }).click();
  const opening = context.waitForEvent("page");
  await page.getByRole("button", { name: "Open Loft wall on monitor 1" }).click();
  const opened = await opening;
  await expect(output(opened)).toHaveAttribute("data-ready", "yes");
  expect(await opened.evaluate(() => window.opener)).toBeNull();
});

test("a screen of 3840 by 2160 is drawn at its own size; Health says what was measured where it is", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  await goTo(page, "Screens");
  await choose(page, "Loft wall");
  await fill(page, "Wide, px", "3840");
  await fill(page, "High, px", "2160");
  const wall = await openOutput(show, 0);
  await wall.setViewportSize({ width: 3840, height: 2160 });
  await page.goto(`${show.base}/health`);
  const screens = page.getByRole("complementary", { name: "Windows of each screen" });
  await expect(screens).toContainText(/its screen draws \d+(\.\d+)? frames a second/);
  await expect(screens).toContainText("no graphics processor: a clip in so large a picture costs frames");
  await expect(screens).not.toContainText("set 3840");
});
