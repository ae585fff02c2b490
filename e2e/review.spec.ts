import { expect, expectCues, goTo, openDesk, output, saved, settled, test } from "./support/show.ts";

/** As it came in a mail, in a hurry. */
const PASTED = [
  "hey bram,",
  "here's the song for sunday:",
  "",
  "river of lanterns",
  "(words & music: I. Tarrow)",
  "",
  "v1",
  "G        D",
  "Slow river, carry our lanterns down",
  "past every sleeping town",
  "",
  "chorus",
  "Shine, shine, river of light",
  "shine on through the night",
  "",
  "2.",
  "Slow river, carry our fathers' names",
  "everybody clap now",
  "",
  "chorus x2",
  "",
  "cheers, ilse",
].join("\n");

test("a song as it came in a mail is shown as it was understood, mended with one press, and aired", async ({
  page,
  emptyShow,
  openOutput,
}) => {
  await openDesk(page, emptyShow);
  await goTo(page, "Prepare");
  const box = page.getByRole("textbox", { name: /Add to the rundown/ });
  await box.fill(PASTED);
  const review = page.getByRole("region", { name: "The song as it was understood" });
  await expect(review.getByRole("heading", { name: "river of lanterns" })).toBeVisible();
  await expect(review.locator("[data-order]")).toHaveText("V1 C V2 C C");
  await expect(review.getByText("is a greeting")).toBeVisible();

  // "everybody clap now" is not sung: one key says so, and the order stays.
  const line = review.locator("[data-line]", { hasText: "everybody clap now" });
  await line.focus();
  await line.press("n");
  await expect(line).toHaveAttribute("data-kind", "note");
  // And one line down by the arrow keys, back up by them.
  await line.press("ArrowDown");
  await expect(review.locator("[data-line]", { hasText: "chorus x2" })).toBeFocused();

  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expectCues(page, 1);
  const words = page.getByRole("textbox", { name: "Words" });
  await expect(words).not.toHaveValue(/clap|cheers|sunday|river of lanterns/);
  await expect(words).toHaveValue(
    /Slow river, carry our fathers’ names|Slow river, carry our fathers' names/,
  );

  const wall = await openOutput(emptyShow, 0);
  await goTo(page, "Run");
  await page.locator("body").press("Space");
  await settled(wall, 2);
  await expect(output(wall)).toHaveAttribute("data-seq", /\d+/);
  await expect(page.locator('[data-mark="air"]')).toContainText("Slow river, carry our lanterns down");
});

test("what is on air keeps its place while lines are put in before it", async ({
  page,
  emptyShow,
  openOutput,
}) => {
  await openDesk(page, emptyShow);
  await goTo(page, "Prepare");
  const box = page.getByRole("textbox", { name: /Add to the rundown/ });
  await box.fill(
    "Verse 1\nlamp quay tide\nnet boat gull\nrope salt mast\nkeel wind wave\n\nVerse 2\ndusk dawn pier\nsail oar deck",
  );
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expectCues(page, 1);
  const wall = await openOutput(emptyShow, 0);
  await goTo(page, "Run");
  await page.locator("body").press("Space");
  await settled(wall, 2);
  await expect(page.locator('[data-mark="air"]')).toContainText("lamp quay tide");
  await goTo(page, "Prepare");
  const words = page.getByRole("textbox", { name: "Words" });
  await words.fill(
    "Verse 7\ncliff sand shell\nlamp quay tide\nnet boat gull\nrope salt mast\nkeel wind wave\n\nVerse 2\ndusk dawn pier\nsail oar deck",
  );
  await saved(page);
  await goTo(page, "Run");
  // The row of the very words is the one on air, whatever stands before them now.
  await expect(page.locator('[data-mark="air"]')).toContainText("lamp quay tide");
  await page.locator("body").press("Space");
  await expect(page.locator('[data-mark="air"]')).not.toContainText("lamp quay tide");
});
