import type { Page } from "@playwright/test";
import { LAYER_ROUNDING, largestDifference, shoot } from "./support/pixels.ts";
import { add, choose, drag, kept, openRoom } from "./support/room.ts";
import { expect, test } from "./support/show.ts";

const bands = (page: Page) => page.getByRole("region", { name: "Motion" });
const band = (page: Page, name: string) => bands(page).getByRole("button", { name, exact: true }).click();

/** Stands the stage at an instant of the band that is open, by keys. */
async function showAt(page: Page, ms: number): Promise<void> {
  const thumb = bands(page).getByRole("slider", { name: "Instant shown, ms" });
  await thumb.focus();
  await page.keyboard.press("Home");
  for (let i = 0; i < Math.floor(ms / 100); i++) await page.keyboard.press("PageUp");
  for (let i = 0; i < (ms % 100) / 10; i++) await page.keyboard.press("ArrowRight");
  await expect(thumb).toHaveAttribute("aria-valuenow", String(ms));
}

test("an exit that mirrors the arrival: every instant of it is that of the arrival, backwards", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  for (const id of ["name", "role", "accent"]) {
    await choose(page, id);
    await page.getByRole("checkbox", { name: "Goes as it came, backwards" }).check();
  }
  await kept(page);
  await page.getByRole("button", { name: "Motion", exact: true }).click();
  const ends = await bands(page)
    .getByRole("button", { name: /from \d+ to \d+ ms/ })
    .evaluateAll((bars) => bars.map((bar) => Number(/to (\d+) ms/.exec(bar.ariaLabel ?? "")?.[1])));
  const lengthMs = Math.max(...ends);
  expect(lengthMs).toBeGreaterThan(300);
  // With nothing chosen there is nothing over the picture.
  await page.keyboard.press("Escape");
  const canvas = page.getByRole("application");
  const seen: Buffer[] = [];
  for (const share of [0.2, 0.4, 0.7]) {
    const atMs = Math.round((lengthMs * share) / 10) * 10;
    await band(page, "Enter");
    await showAt(page, atMs);
    const coming = await shoot(canvas);
    await band(page, "Exit");
    await showAt(page, lengthMs - atMs);
    await expect
      .poll(async () => largestDifference(await shoot(canvas), coming))
      .toBeLessThanOrEqual(LAYER_ROUNDING);
    seen.push(coming.data);
  }
  // They were not all the same picture.
  expect(seen[0]?.equals(seen[2] as Buffer)).toBe(false);
});

test("a keyframe is moved by keys, its curve drawn, one added and taken away; each is one step back", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  await page.getByRole("button", { name: "Motion", exact: true }).click();
  await bands(page).getByRole("button", { name: "accent", exact: true }).click();
  const keyframes = bands(page).getByRole("slider", { name: /keyframe/ });
  const count = await keyframes.count();
  const last = keyframes.nth(1);
  const before = Number(await last.getAttribute("aria-valuenow"));
  await last.focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowRight");
  await expect(last).toHaveAttribute("aria-valuenow", String(before + 20));
  await keyframes.nth(0).focus();
  const pace = bands(page).getByLabel("On its way to the next");
  await pace.selectOption({ label: "starts slowly" });
  await pace.selectOption({ label: "a curve of its own" });
  const handle = bands(page).getByRole("slider", { name: "First handle of the curve" });
  await handle.focus();
  await page.keyboard.press("ArrowUp");
  await expect(bands(page).getByRole("textbox", { name: "Curve, y1" })).not.toHaveValue("0.1");
  await bands(page).getByRole("combobox", { name: "Let something move" }).selectOption({ label: "blur" });
  await expect(keyframes).toHaveCount(count + 2);
  await kept(page);
  await page.keyboard.press("Escape");
  // As many steps as were taken, of which those at once are one.
  await expect(async () => {
    await page.keyboard.press("Control+z");
    await expect(page.getByText("as it is in use")).toBeVisible({ timeout: 1_000 });
  }).toPass();
});

test("phases are played on the stage, again and again, and it stands still again", async ({ page, show }) => {
  await openRoom(page, show.base, "full-name");
  const canvas = page.getByRole("application");
  const still = await shoot(canvas);
  await page.getByRole("button", { name: "Play again and again" }).click();
  await page.getByRole("button", { name: "Play: All" }).click();
  await expect.poll(async () => largestDifference(await shoot(canvas), still)).toBeGreaterThan(60);
  await page.getByRole("button", { name: "Back to the page as it stands" }).click();
  await expect
    .poll(async () => largestDifference(await shoot(canvas), still))
    .toBeLessThanOrEqual(LAYER_ROUNDING);
});

test("when a thing is seen is a bar that keys move; colours of a gradient are dragged and moved by keys on the canvas", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  await add(page, "rectangle");
  const look = page.getByRole("region", { name: "Properties" });
  await look
    .getByRole("combobox", { name: "Fill", exact: true })
    .selectOption({ label: "gradient, straight" });
  const stop = page.getByRole("button", { name: "Colour 2 of the gradient", exact: true });
  await expect(stop).toBeVisible();
  // The gradient runs upwards: a pull down brings its last colour nearer to the first.
  const box = await stop.boundingBox();
  if (!box) throw new Error("the point is not on the page");
  await drag(page, { x: box.x + box.width / 2, y: box.y + box.height / 2 }, { x: 0, y: 30 });
  const places = look.getByRole("textbox", { name: "At", exact: true });
  await expect(places.nth(1)).not.toHaveValue("1");
  const dragged = Number(await places.nth(1).inputValue());
  expect(dragged).toBeGreaterThan(0.2);
  expect(dragged).toBeLessThan(1);
  await stop.focus();
  await page.keyboard.press("Shift+ArrowDown");
  await expect.poll(async () => Number(await places.nth(1).inputValue())).toBeLessThan(dragged);
  await kept(page);

  await page.getByRole("button", { name: "Motion", exact: true }).click();
  await bands(page).getByRole("button", { name: "Stay", exact: true }).click();
  const until = bands(page).getByRole("slider", { name: "rectangle: seen until" });
  await expect(until).toHaveAttribute("aria-valuetext", "as long as the page is there");
  await until.focus();
  await page.keyboard.press("ArrowLeft");
  await expect(until).toHaveAttribute("aria-valuetext", /^\d+ ms$/);
  await page.keyboard.press("End");
  await expect(until).toHaveAttribute("aria-valuetext", "as long as the page is there");
  await kept(page);
});
