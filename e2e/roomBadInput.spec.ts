import { readFileSync } from "node:fs";
import { largestDifference, shoot } from "./support/pixels.ts";
import { choose, figure, kept, objects, onCanvas, openRoom, put } from "./support/room.ts";
import { anotherDesk, expect, goTo, openDesk, seqOf, settled, takeCue, test } from "./support/show.ts";

test("an object of no size, or far outside, is in the list and is brought back; what is no figure changes nothing", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  // What is too long is told beside the proof, and in a sentence once it is on the canvas.
  const longest = page.getByRole("region", { name: "Proofs" }).getByRole("button", { name: /^longest/ });
  await expect(longest).toContainText("1 problem");
  await longest.click();
  await expect(page.getByText(/“role” does not fit its box/)).toBeVisible();
  await choose(page, "name");
  const row = objects(page).getByRole("listitem").filter({ hasText: "name" });
  const before = await figure(page, "From the left").inputValue();
  for (const typed of ["", "abc", "1/0", "twelve"]) {
    await put(page, "From the left", typed);
    await expect(figure(page, "From the left")).toHaveValue(before);
  }
  await put(page, "From the left", "-5000");
  await expect(row).toContainText("outside");
  await put(page, "Width", "0");
  await put(page, "Height", "-20");
  await expect(figure(page, "Height")).toHaveValue("0");
  await kept(page);
  await page.reload();
  await choose(page, "name");
  await expect(figure(page, "Width")).toHaveValue("0");
  await put(page, "Width", "50%");
  await put(page, "Height", "90");
  await put(page, "From the left", before);
  await expect(row).not.toContainText("outside");
  await expect(onCanvas(page, "name")).toBeVisible();
});

test("a template that was deleted says so in its room and in another window, and opens again once it is put back", async ({
  page,
  show,
  browser,
}) => {
  await openDesk(page, show, "design");
  await page.getByRole("button", { name: "New template" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Cup");
  await page.getByLabel("For pages of the kind").selectOption({ label: "a new kind of page…" });
  await page.getByLabel("What such pages are called").fill("Prize");
  await page.getByRole("button", { name: "Make it" }).click();
  await expect(page.getByRole("application", { name: /^Canvas of Cup/ })).toBeVisible();
  const address = new URL(page.url()).pathname;
  const other = await anotherDesk(browser, show, "design");
  await other.getByLabel("Look through").selectOption({ label: "Prize" });
  await other.getByRole("button", { name: "Delete Prize" }).click();
  await expect(other.getByText("“Prize” is deleted.")).toBeVisible();
  // The room that is still open is told when it does something, and nothing is made of it.
  await page.getByRole("button", { name: "Add", exact: true }).first().click();
  await page.getByRole("menuitem", { name: "rectangle", exact: true }).click();
  await expect(page.getByText("It was deleted meanwhile. Nothing was changed.")).toBeVisible();
  await page.goto(show.base + address);
  await expect(page.getByText("That template is not here any more")).toBeVisible();
  await other.getByRole("button", { name: "Put it back" }).click();
  await expect(other.getByLabel("Look through").getByRole("option", { name: "Prize" })).toHaveCount(1);
  await page.goto(show.base + address);
  await expect(page.getByRole("application", { name: /^Canvas of Cup/ })).toBeVisible();
});

test("a font that a style or the air is set in stays, and the air keeps its letters over a reload", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "library");
  const font = readFileSync("node_modules/@expo-google-fonts/fraunces/900Black/Fraunces_900Black.ttf");
  await page
    .getByLabel("Import files")
    .setInputFiles({ name: "Quay bold.ttf", mimeType: "font/ttf", buffer: font });
  await expect(page.getByRole("region", { name: "Fonts added" })).toContainText("Quay bold");
  await openDesk(page, show, "design");
  const fonts = page.getByRole("region", { name: "Fonts", exact: true });
  const usual = await fonts.getByRole("combobox").nth(1).inputValue();
  await fonts.getByRole("combobox").nth(1).selectOption({ label: "Quay bold" });
  await expect(page.getByText(/is used from the next take on/)).toBeVisible();
  await goTo(page, "Run");
  const wall = await openOutput(show, 0);
  const atFirst = await seqOf(wall);
  await takeCue(page, "cue-0003");
  // The arm and the take.
  const seq = atFirst + 2;
  await settled(wall, seq);
  const before = await shoot(wall);
  await page.goto(`${show.base}/library`);
  const remove = page.getByRole("button", { name: "Delete Quay bold" });
  await remove.click();
  await expect(page.getByText(/uses this font, so it stays/)).toBeVisible();
  await openDesk(page, show, "design");
  await fonts.getByRole("combobox").nth(1).selectOption(usual);
  await expect(page.getByText(/is used from the next take on/)).toBeVisible();
  await page.goto(`${show.base}/library`);
  await remove.click();
  await expect(page.getByText(/What is on air.*is set in this font, so it stays/)).toBeVisible();
  await wall.reload();
  await settled(wall, seq);
  expect(largestDifference(await shoot(wall), before)).toBeLessThan(3);
});
