import { largestDifference, shoot } from "./support/pixels.ts";
import { arm, expect, openDesk, scrollTo, test } from "./support/show.ts";

test("a countdown is held from the layer's strip and goes on: every screen stands still meanwhile", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const step = page.locator("[data-step]", { hasText: "The walk begins" });
  await arm(page, await scrollTo(page, step));
  await page.keyboard.press("Space");
  const hold = page.getByRole("button", { name: "hold", exact: true });
  await expect(hold).toBeVisible();
  const moves = async () => {
    const before = await shoot(wall);
    await expect.poll(async () => largestDifference(await shoot(wall), before)).toBeGreaterThan(60);
  };
  await moves();
  await hold.click();
  const goOn = page.getByRole("button", { name: "go on", exact: true });
  await expect(goOn).toBeVisible();
  const held = await shoot(wall);
  // The desk's own clock goes on by two seconds, the countdown does not.
  const seconds = () => page.evaluate(() => Math.floor(Date.now() / 1_000));
  const from = await seconds();
  await expect.poll(seconds).toBeGreaterThan(from + 2);
  expect(largestDifference(await shoot(wall), held)).toBe(0);
  if (process.env.VESKO_SHOT) await page.screenshot({ path: process.env.VESKO_SHOT });
  await goOn.click();
  await expect(hold).toBeVisible();
  await moves();
});
