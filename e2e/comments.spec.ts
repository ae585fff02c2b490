import { writeFileSync } from "node:fs";
import { join } from "node:path";
import { expect, goTo, openDesk, pickBox, takeFound, test } from "./support/show.ts";

test("comments come, are picked without what is struck out, trimmed, put in order, shown one after another; nothing else ever is", async ({
  page,
  show,
  openOutput,
}) => {
  const wall = await openOutput(show, 0);
  await openDesk(page, show, "comments");
  const list = page.getByRole("main", { name: "Comments" }).getByRole("listitem");
  const picked = page.getByRole("region", { name: "Picked" });
  await expect(list.filter({ hasText: "tar and oranges" })).toBeVisible();
  await expect(list.filter({ hasText: "old barnacle" }).locator("s")).toHaveText("barnacle");
  await expect(list.filter({ hasText: "oars-for-less" }).locator("s")).toHaveText(
    "www.oars-for-less.example",
  );
  // By keys: the first is picked, the second held back, and what is chosen is the next.
  await page.keyboard.press("Enter");
  await expect(picked.getByRole("listitem")).toHaveCount(1);
  await expect(page.locator("[aria-current=true]")).toContainText("Go Kittiwake");
  await page.keyboard.press("h");
  await expect(page.getByRole("button", { name: /^Held back 1/ })).toBeVisible();
  await list.filter({ hasText: "old barnacle" }).getByRole("button", { name: "Pick" }).click();
  await expect(picked.getByRole("textbox", { name: "Words of Jörn Thale" })).toHaveValue(
    "the pilot is an old …",
  );
  await picked.getByRole("textbox", { name: "Words of Jörn Thale" }).fill("the pilot!");
  await picked.getByRole("heading").click();
  await picked.getByRole("button", { name: "Move “the pilot!” up" }).click();
  await expect(picked.getByRole("listitem").first()).toContainText("Jörn Thale");
  // More come by themselves while a hand is at work: what is chosen stays chosen.
  const chosen = await page.locator("[aria-current=true]").getAttribute("data-comment");
  const comments = [{ id: "x1", name: "Noor", words: "just now from the ferry", picture: "Star badge" }];
  writeFileSync(join(`${show.databaseFile}.feeds`, "comments.json"), `${JSON.stringify({ comments })}\n`);
  await expect(list.filter({ hasText: "just now from the ferry" })).toBeVisible();
  expect(await page.locator("[aria-current=true]").getAttribute("data-comment")).toBe(chosen);

  await goTo(page, "Run");
  await takeFound(page, wall, "Write to us from the quay");
  const onAir = page.locator("[data-mark=air]");
  await expect(onAir).toContainText("Write to us from the quay");
  await pickBox(page, "Picked comments").getByRole("button", { name: "Next row" }).click();
  await expect(onAir).toContainText("held: the pilot!");
  await page.keyboard.press("s");
  await expect(onAir).toContainText("the pilot!");
  await expect(onAir.getByText("held")).toHaveCount(0);
  await page.goto(`${show.base}/comments`);
  await expect(picked.getByRole("listitem").first().getByText("shown")).toBeVisible();
  await expect(picked.getByRole("listitem").nth(1).getByText("shown")).toHaveCount(0);
});
