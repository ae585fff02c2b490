import { createCanvas } from "@napi-rs/canvas";
import { pixel, shoot } from "./support/pixels.ts";
import { figure, kept, objects, openRoom, publish } from "./support/room.ts";
import { chooseCue, expect, goTo, openDesk, saved, stayUntilOut, takeFound, test } from "./support/show.ts";

/** A bar on a clear ground, of the size of the canvas. */
function bed(): Buffer {
  const canvas = createCanvas(1920, 1080);
  const context = canvas.getContext("2d");
  context.fillStyle = "#c02050";
  context.fillRect(200, 800, 1200, 200);
  return canvas.toBuffer("image/png");
}

test("a PNG becomes the bed of a strap with two fields, and is on air to the pixel", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "design");
  await page.getByRole("button", { name: "New template" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Bed strap");
  await page.getByLabel("For pages of the kind").selectOption("name");
  await page.getByRole("button", { name: "Make it" }).click();
  await expect(page.getByText("Nothing is on the canvas yet.")).toBeVisible();
  await page
    .getByLabel("Import", { exact: true })
    .setInputFiles({ name: "bed.png", mimeType: "image/png", buffer: bed() });
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("1920 × 1080, exactly the size of the canvas.");
  await expect(dialog.getByLabel("Name")).toBeChecked();
  await expect(dialog.getByLabel("Role")).toBeChecked();
  await dialog.getByRole("button", { name: "Lay it on the canvas" }).click();
  await expect(objects(page).getByRole("listitem")).toHaveCount(3);
  // Words stand in the room that was found on the bed: within the bar, one above the other.
  await objects(page).getByRole("button", { name: /^Name/ }).click();
  const within = async () => {
    const [x, y, w, h] = await Promise.all(
      ["From the left", "From the top", "Width", "Height"].map(async (label) =>
        Number(await figure(page, label).inputValue()),
      ),
    );
    return { x: x as number, y: y as number, w: w as number, h: h as number };
  };
  const name = await within();
  expect(name.x).toBeGreaterThanOrEqual(200);
  expect(name.x + name.w).toBeLessThanOrEqual(1400);
  expect(name.y).toBeGreaterThanOrEqual(800);
  await objects(page).getByRole("button", { name: /^Role/ }).click();
  const role = await within();
  expect(role.y).toBeGreaterThanOrEqual(name.y + name.h);
  expect(role.y + role.h).toBeLessThanOrEqual(1000);
  await kept(page);
  await publish(page);

  await goTo(page, "Prepare");
  await chooseCue(page, "cue-0004");
  await page.getByRole("combobox", { name: "Template" }).selectOption({ label: "Bed strap (Full words)" });
  await stayUntilOut(page, "cue-0004");
  await saved(page);
  await goTo(page, "Run");
  const wall = await openOutput(show, 0);
  await takeFound(page, wall, "Ilse Tarrow");
  // The file may come after the words.
  await expect
    .poll(async () => {
      const png = await shoot(wall);
      return [pixel(png, 203, 803), pixel(png, 1396, 996)].map((at) => at.slice(0, 3));
    })
    .toEqual([
      [0xc0, 0x20, 0x50],
      [0xc0, 0x20, 0x50],
    ]);
  expect(pixel(await shoot(wall), 197, 803).slice(0, 3)).not.toEqual([0xc0, 0x20, 0x50]);
});

test("a drawing comes as shapes with nothing active in it, a small picture at its own size, a mark in two presses", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  const there = await objects(page).getByRole("listitem").count();
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 50" onload="window.harm = 1">
    <script>window.harm = 1</script><style>.a{fill:#f4bd68}</style>
    <rect class="a" width="100" height="50"/><circle cx="25" cy="25" r="20" fill="#132a42" onclick="window.harm = 1"/>
    <text x="50" y="40">Hi</text><image href="https://example.invalid/a.png" width="9" height="9"/></svg>`;
  const bring = (name: string, mimeType: string, buffer: Buffer) =>
    page.getByLabel("Import", { exact: true }).setInputFiles({ name, mimeType, buffer });
  await bring("mark.svg", "image/svg+xml", Buffer.from(drawing));
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("2 shapes. As shapes it comes without words");
  await dialog.getByRole("button", { name: "As shapes" }).click();
  await expect(objects(page).getByRole("listitem")).toHaveCount(there + 3);
  await expect(page.locator(`[data-object="drawing"]`)).toBeVisible();
  await kept(page);
  expect(await page.evaluate(() => "harm" in window)).toBe(false);

  await bring("broken.svg", "image/svg+xml", Buffer.from("<svg"));
  await expect(page.getByText(/not an SVG drawing that can be read.*Nothing was changed/)).toBeVisible();
  await bring("no.png", "image/png", Buffer.from("no picture"));
  await expect(page.getByText(/not a picture that can be read/)).toBeVisible();
  await expect(objects(page).getByRole("listitem")).toHaveCount(there + 3);

  const canvas = createCanvas(300, 100);
  canvas.getContext("2d").fillRect(0, 0, 300, 100);
  await bring("small.png", "image/png", canvas.toBuffer("image/png"));
  await expect(dialog).toContainText("1620 px narrower and 980 px lower than the canvas");
  await dialog.getByRole("button", { name: "Lay it on the canvas" }).click();
  await expect(figure(page, "Width")).toHaveValue("300");

  await page.getByRole("button", { name: "Marks" }).click();
  await page.getByRole("button", { name: "Thumb up" }).click();
  await expect(objects(page).getByRole("button", { name: /^Thumb up/ })).toBeVisible();
  await kept(page);
});

test("what the library holds is found by folder and tag, and a file that is replaced is replaced in templates too", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "library");
  await page.getByRole("button", { name: /Lantern mark/ }).click();
  const chosen = page.getByRole("complementary", { name: "Chosen" });
  await chosen.getByLabel("Folder").fill("Marks/Own");
  await chosen.getByLabel(/^Tags/).fill("lamp, gold");
  await chosen.getByLabel(/^Tags/).press("Enter");
  await expect(page.getByRole("button", { name: /Lantern mark.*Marks\/Own · lamp · gold/ })).toBeVisible();
  await page.getByRole("combobox", { name: "Folder" }).first().selectOption("Marks");
  await expect(page.getByRole("button", { name: /Paper boat/ })).toHaveCount(0);
  await page.getByRole("searchbox", { name: "Search the library" }).fill("gold no-such");
  await expect(page.getByText("Nothing is found so.")).toBeVisible();
  await page.getByRole("button", { name: "Show everything" }).click();
  await expect(page.getByRole("button", { name: /Paper boat/ })).toBeVisible();

  await page.getByRole("button", { name: /The upper slip/ }).click();
  await expect(chosen).toContainText("a cue of this evening");
  const canvas = createCanvas(64, 36);
  canvas.getContext("2d").fillRect(0, 0, 64, 36);
  await chosen
    .getByLabel("Replace its file")
    .setInputFiles({ name: "other.png", mimeType: "image/png", buffer: canvas.toBuffer("image/png") });
  await expect(page.getByText(/“The upper slip, winter” has another file/)).toBeVisible();
  await expect(page.getByRole("button", { name: /The upper slip/ })).toContainText("64×36");
});
