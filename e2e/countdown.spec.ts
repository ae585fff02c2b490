import { largestDifference, shoot } from "./support/pixels.ts";
import { arm, expect, openDesk, scrollTo, test } from "./support/show.ts";

test("a countdown is paused from the layer's strip and resumed: every screen stands still meanwhile", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const step = page.locator("[data-step]", { hasText: "The walk begins" });
  await arm(page, await scrollTo(page, step));
  await page.keyboard.press("Space");
  const pause = page.getByRole("button", { name: "pause", exact: true });
  await expect(pause).toBeVisible();
  const moves = async () => {
    const before = await shoot(wall);
    await expect.poll(async () => largestDifference(await shoot(wall), before)).toBeGreaterThan(60);
  };
  await moves();
  const out = page.getByLabel("Layers").getByRole("button", { name: /^Words .*out/ });
  const before = await out.boundingBox();
  await pause.click();
  const resume = page.getByRole("button", { name: "resume", exact: true });
  await expect(resume).toBeVisible();
  // The key beside it stays where the hand knows it.
  expect(await out.boundingBox()).toEqual(before);
  const held = await shoot(wall);
  // The desk's own clock goes on by two seconds, the countdown does not.
  const seconds = () => page.evaluate(() => Math.floor(Date.now() / 1_000));
  const from = await seconds();
  await expect.poll(seconds).toBeGreaterThan(from + 2);
  expect(largestDifference(await shoot(wall), held)).toBe(0);
  if (process.env.VESKO_SHOT) await page.screenshot({ path: process.env.VESKO_SHOT });
  await resume.click();
  await expect(pause).toBeVisible();
  await moves();
});

test("a countdown's picture in the script is of the time at which it is painted, and is not kept", async ({
  page,
  show,
}) => {
  await openDesk(page, show);
  const pictureOf = async (words: string) => {
    const step = await scrollTo(page, page.locator("[data-step]", { hasText: words }));
    const picture = step.locator('img[src*="/still/"]');
    await expect(picture).toHaveAttribute("src", words.includes("walk begins") ? /minute=/ : /unit=/);
    return (await picture.getAttribute("src")) as string;
  };
  const still = (address: string) =>
    page.evaluate(async (from) => {
      const answer = await fetch(from, { cache: "reload" });
      const bytes = new Uint8Array(await answer.arrayBuffer());
      return { kept: answer.headers.get("cache-control"), bytes: bytes.join() };
    }, address);
  const countdown = await pictureOf("The walk begins");
  const first = await still(countdown);
  expect(first.kept).toBe("private, max-age=60");
  await expect.poll(async () => (await still(countdown)).bytes).not.toBe(first.bytes);
  const title = await pictureOf("Lantern Evening");
  const other = await still(title);
  expect(other.kept).toContain("immutable");
  expect((await still(title)).bytes).toBe(other.bytes);
});
