import SQLite from "better-sqlite3";
import { chooseCue, expect, openDesk, test } from "./support/show.ts";

test("while the disk cannot be written the show goes on, edits are kept in the browser, and all is saved later", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  // Another program holds the database: nothing can be written to it, for as long as it wants.
  const other = new SQLite(show.databaseFile);
  other.exec("begin immediate");
  const next = page.locator("[data-mark=next]").first();
  const first = await next.getAttribute("data-step");
  await page.keyboard.press("Space");
  await expect(page.locator(`[data-step="${first}"]`)).toHaveAttribute("data-mark", "air");
  await expect(wall.locator("main")).toHaveAttribute("data-seq", "2");
  const banner = page.locator("[data-storage=unwritten]");
  await expect(banner).toContainText(/NOT SAVED \(1 act\).*Takes, clear and black go on/);
  expect((await page.request.get(`${show.base}/healthz`)).status()).toBe(503);

  await openDesk(page, show, "prepare");
  await expect(banner).toBeVisible();
  await chooseCue(page, "cue-0004");
  const name = page.getByRole("textbox", { name: "Name", exact: true });
  await name.fill("Ilse Tarrow of the Quay");
  await expect(page.getByText(/disk is full or cannot be written, so this was not saved/)).toBeVisible();
  // The page is loaded again, and another cue opened: the words are still there.
  await openDesk(page, show, "prepare");
  expect(
    await page.evaluate(() => Object.entries(localStorage).find(([key]) => key.includes("cue-0004"))?.[1]),
  ).toContain("Ilse Tarrow of the Quay");

  other.exec("rollback");
  other.close();
  await expect(banner).toHaveCount(0);
  await expect(page.getByText("Words that could not be saved before are saved now.")).toBeVisible();
  await chooseCue(page, "cue-0004");
  await expect(name).toHaveValue("Ilse Tarrow of the Quay");
  expect((await page.request.get(`${show.base}/healthz`)).status()).toBe(200);
  // And it is on the disk: a stop without a warning takes nothing of it.
  await show.kill();
  await show.start();
  await openDesk(page, show, "run");
  await expect(page.locator(`[data-step="${first}"]`)).toHaveAttribute("data-mark", "air");
});
