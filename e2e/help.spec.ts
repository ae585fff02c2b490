import { expect, openDesk, seqOf, settled, test } from "./support/show.ts";

test("help opens beside the view, at the place; keys of the air go on; Find finds it", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const help = page.getByRole("complementary", { name: "Help" });
  await page.keyboard.press("F1");
  await expect(help.getByRole("heading", { name: "Run it" })).toBeInViewport();
  // The evening goes on beside it.
  const seq = await seqOf(wall);
  await page.keyboard.press("Space");
  await expect.poll(() => seqOf(wall)).toBeGreaterThan(seq);
  await help.getByRole("button", { name: "Trouble" }).click();
  await expect(help.getByRole("heading", { name: "Trouble", level: 2 })).toBeInViewport();
  await page.keyboard.press("F1");
  await expect(help).toHaveCount(0);
  await page.keyboard.press("f");
  await page.keyboard.type("getting something back");
  await expect(page.getByRole("option", { name: /Getting something back/ })).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(help.getByRole("heading", { name: "Getting something back" })).toBeInViewport();
  await help.getByRole("link", { name: "All of it" }).click();
  await expect(page).toHaveURL(/help\?guide=backup#getting-something-back/);
  await expect(
    page.getByRole("main").getByRole("heading", { name: "Getting something back" }),
  ).toBeInViewport();
  await settled(wall, await seqOf(wall));
});
