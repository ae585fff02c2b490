import { largestDifference, pixel, shoot } from "./support/pixels.ts";
import { expect, goTo, openDesk, takeFound, test } from "./support/show.ts";

test("the main colour is changed: pictures follow at once, the show when it is told, the air when it is sent", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeFound(page, wall, "Lantern Evening");
  const there = await shoot(wall);

  await page.goto(`${show.base}/design/style/harbour-lamp`);
  const accent = page.getByRole("textbox", { name: "Main colour: as a number", exact: true });
  const pictures = page.getByRole("region", { name: "Pictures" });
  await expect(pictures.locator("canvas").first()).toBeVisible();
  const asWas = await shoot(pictures);
  await accent.fill("#18c04a");
  await accent.press("Enter");
  const second = page.getByRole("textbox", { name: "Second colour: as a number", exact: true });
  await second.fill("#18c04a");
  await second.press("Enter");
  await page.getByRole("textbox", { name: "Words on the ground: as a number", exact: true }).fill("#18c04a");
  await page.getByRole("textbox", { name: "Words on the ground: as a number", exact: true }).press("Enter");
  await expect.poll(async () => largestDifference(await shoot(pictures), asWas)).toBeGreaterThan(60);
  await expect(page.getByText("draft, not in use yet")).toBeVisible();
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  await expect(page.getByText("as it is in use")).toBeVisible();
  expect(largestDifference(await shoot(wall), there)).toBe(0);
  await page.getByRole("button", { name: "Use it in the show" }).click();
  await expect(page.getByRole("button", { name: "The show uses it" })).toBeVisible();
  expect(largestDifference(await shoot(wall), there)).toBe(0);

  await goTo(page, "Run");
  await page.getByRole("button", { name: /^send/i }).first().click();
  await expect
    .poll(async () => {
      const png = await shoot(wall);
      let green = 0;
      for (let y = 0; y < png.height; y += 4)
        for (let x = 0; x < png.width; x += 4)
          if (pixel(png, x, y).slice(0, 3).join() === "24,192,74") green++;
      return green;
    })
    .toBeGreaterThan(20);
});

test("words that can hardly be read are told with the figure; a colour and a measure of one's own can be made", async ({
  page,
  show,
}) => {
  await page.goto(`${show.base}/design/style/harbour-lamp`);
  const words = page.getByRole("textbox", { name: "Words on bars: as a number", exact: true });
  await words.fill("3a4a5a");
  await words.press("Enter");
  await expect(page.getByText(/on bars 1\.\d : 1, hard to read/)).toBeVisible();
  await words.fill("red");
  await words.press("Enter");
  await expect(words).toHaveValue("#3a4a5a");
  await page.getByRole("textbox", { name: "A colour of your own: its name", exact: true }).fill("net");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("textbox", { name: "net: as a number", exact: true })).toBeVisible();
  await page.getByRole("textbox", { name: "A shadow of your own: its name", exact: true }).fill("far");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "Delete the shadow far" })).toBeVisible();
  await expect(page.getByText("draft, not in use yet")).toBeVisible();
  await page.reload();
  await expect(page.getByRole("textbox", { name: "net: as a number", exact: true })).toBeVisible();
  await page.getByRole("button", { name: "Copy", exact: true }).click();
  await expect(page.getByRole("textbox", { name: "Name of the house style", exact: true })).toHaveValue(
    "Harbour lamp, our own",
  );
});

test("a style that nothing needs is deleted and put back by one press; the one that the show wears stays", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "design");
  const styles = page.getByRole("region", { name: "House styles" });
  await page.getByRole("button", { name: "Delete Harbour lamp" }).click();
  await expect(page.getByText("The show wears this style, so it stays.")).toBeVisible();
  await styles.getByRole("button", { name: /^Regatta/ }).click();
  await page.getByRole("button", { name: "Delete Regatta" }).click();
  await expect(styles.getByRole("button", { name: /^Regatta/ })).toHaveCount(0);
  // What is chosen instead is what every control beside it means.
  await expect(page.getByRole("link", { name: "Change “Harbour lamp”" })).toHaveAttribute(
    "href",
    "/design/style/harbour-lamp",
  );
  // The way back stays, but not in the way of the show.
  const wayBack = page.getByRole("button", { name: "Put it back" });
  await goTo(page, "Run");
  await expect(wayBack).toHaveCount(0);
  await page.getByRole("link", { name: "Design", exact: true }).click();
  await wayBack.click();
  await expect(styles.getByRole("button", { name: /^Regatta/ })).toBeVisible();
});
