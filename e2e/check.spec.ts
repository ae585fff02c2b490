import type { Page } from "@playwright/test";
import { expect, goTo, openDesk, test } from "./support/show.ts";

const verdict = (page: Page) => page.getByRole("main", { name: "Check" }).getByRole("status");
const list = (page: Page) => page.getByRole("list", { name: "Findings", exact: true });
const detail = (page: Page) => page.getByRole("region", { name: "What is found" });

/** Waits until all was looked at as it is now. */
const looked = (page: Page) => expect(verdict(page)).toContainText("pages on their screens");

test("what is wrong is found while it is typed, shown where it is, mended, taken back, and let be with a reason", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "check");
  await looked(page);
  // The demo is clean: no window shows its screens, and a hand leaves some pages lying.
  await expect(list(page)).toContainText("No window shows Loft wall");
  await expect(page.getByRole("button", { name: /^Must be mended 0/ })).toBeVisible();

  await goTo(page, "Prepare");
  const box = page.getByRole("textbox", { name: /Add to the rundown/ });
  await box.fill("Ilse Tarow, net mender");
  await expect(page.getByText(/name strap: Ilse Tarow/)).toBeVisible();
  await box.press("Enter");
  const row = page.locator("[data-selected=true]");
  await expect(row).toContainText("Ilse Tarow");
  await row.getByRole("link", { name: "1 finding" }).click();
  await expect(detail(page)).toContainText("It says “Ilse Tarow”, and elsewhere");
  await detail(page).getByRole("button", { name: "Do it: Write “Ilse Tarrow” everywhere" }).click();
  await expect(list(page)).not.toContainText("Ilse Tarow");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(list(page)).toContainText("It says “Ilse Tarow”");

  await list(page)
    .getByRole("button", { name: /It says “Ilse Tarow”/ })
    .click();
  await detail(page).getByRole("textbox", { name: "Why it is let be" }).fill("Another Ilse.");
  await page.keyboard.press("Enter");
  await expect(list(page)).not.toContainText("It says “Ilse Tarow”");
  await page.getByRole("button", { name: /^Let be 4/ }).click();
  await expect(list(page)).toContainText("let be: Another Ilse.");
  await page.reload();
  await looked(page);
  await page.getByRole("button", { name: /^Let be 4/ }).click();
  await list(page)
    .getByRole("button", { name: /Ilse Tarow/ })
    .click();
  await detail(page).getByRole("button", { name: "Put it back in the list" }).click();
  await expect(page.getByRole("button", { name: /^Let be 3/ })).toBeVisible();
});

test("a mend is shown on the picture before it is done; the limits are the venue’s; screens that open are well", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "check");
  await looked(page);
  await list(page)
    .getByRole("button", { name: /It is still there when “Ilse Tarrow” comes/ })
    .click();
  await expect(detail(page).getByRole("figure")).toContainText("Stream");
  await detail(page)
    .getByRole("button", { name: /^Show: Let it leave after/ })
    .click();
  await expect(detail(page).getByRole("figure")).toContainText("as it would be");
  // Shown, and not done: nothing is saved.
  await expect(list(page)).toContainText("It is still there when “Ilse Tarrow” comes");

  await page.getByRole("button", { name: "Limits" }).click();
  const limits = page.getByRole("region", { name: "Limits" });
  const rate = limits.getByRole("spinbutton", { name: "Words of a crawl in a minute" });
  await rate.fill("60");
  await rate.press("Enter");
  await expect(list(page)).toContainText("60 is as fast as people read");

  // It stands on the screen, and on the page's own picture.
  await goTo(page, "Screens");
  await page
    .getByRole("article")
    .filter({ hasText: "Porch" })
    .getByRole("link", { name: "1 cue has a finding here" })
    .click();
  await expect(page.getByRole("combobox", { name: "On which screen" })).toHaveValue("porch");
  await expect(list(page)).not.toContainText("No window shows Loft wall");
  await list(page)
    .getByRole("button", { name: /60 is as fast as people read/ })
    .click();
  await detail(page)
    .getByRole("link", { name: /Prepare/ })
    .click();
  await expect(
    page
      .getByRole("region", { name: "On every screen" })
      .getByRole("article")
      .filter({ hasText: "Porch" })
      .getByRole("link", { name: /60 is as fast as people read/ }),
  ).toBeVisible();
  await page.goBack();
  await page.getByRole("combobox", { name: "On which screen" }).selectOption("");
  await page.getByRole("button", { name: "Limits" }).click();
  await limits.getByRole("button", { name: "As usual" }).locator("visible=true").click();
  await expect(list(page)).not.toContainText("60 is as fast as people read");

  await openOutput(show, 0);
  await expect(list(page)).not.toContainText("No window shows Loft wall");
  await expect(list(page)).toContainText("No window shows Singers");
});

test("the walk goes through every step on all screens by keys; a change takes the tick of its step away", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "check");
  await looked(page);
  await page.getByRole("button", { name: "Walk through" }).click();
  const walk = page.getByRole("main", { name: "Walk through" });
  await expect(walk).toContainText("step 1 of");
  await expect(walk.getByRole("figure")).toHaveCount(5);
  for (const step of [2, 3, 4]) {
    await page.keyboard.press("Space");
    await expect(walk).toContainText(`step ${step} of`);
  }
  await expect(walk).toContainText("3 seen");
  await page.keyboard.press("ArrowLeft");
  await expect(walk).toContainText("3 · Lantern Evening");
  await expect(walk.getByRole("button", { name: /^Seen/ })).toHaveAttribute("aria-pressed", "true");

  // Its words are another's now.
  await goTo(page, "Prepare");
  await page
    .locator("[data-index='2']")
    .getByRole("button", { name: /· Lantern Evening/ })
    .click();
  await page.getByRole("textbox", { name: "Title" }).fill("Lanterns");
  await expect(page.locator("[data-index='2']")).toContainText("3 · Lanterns");
  await page.goto(`${show.base}/check?panel=walk`);
  await expect(walk).toContainText("2 seen");
});

test("a song of the library, which the check does not look at, still says what is wrong with its slides", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "check");
  await looked(page);
  await page.getByRole("link", { name: "Material", exact: true }).click();
  await expect(page.getByRole("main", { name: "Song" })).toBeVisible();
  await page.getByRole("textbox", { name: "Words", exact: true }).fill(`Verse 1\n${"Wumbo".repeat(70)}`);
  const screens = page.getByRole("region", { name: "On every screen" });
  await expect(screens.getByText(/does not fit its box/).first()).toBeVisible();
});
