import { largestDifference, pixel, shoot } from "./support/pixels.ts";
import { add, choose, drag, figure, kept, objects, onCanvas, openRoom, put, status } from "./support/room.ts";
import {
  anotherDesk,
  chooseCue,
  expect,
  goTo,
  openDesk,
  saved,
  stayUntilOut,
  takeFound,
  test,
} from "./support/show.ts";

test("a name strap from nothing to air: drawn, tied to its fields, published, chosen and taken", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "design");
  await page.getByRole("button", { name: "New template" }).click();
  await page.getByLabel("Name", { exact: true }).fill("Quay strap");
  await page.getByLabel("For pages of the kind").selectOption("name");
  await page.getByRole("button", { name: "Make it" }).click();
  await expect(page.getByRole("application", { name: "Canvas of Quay strap, 1920 by 1080" })).toBeVisible();
  await expect(page.getByText("Nothing is on the canvas yet.")).toBeVisible();

  await add(page, "rectangle");
  await put(page, "From the left", "0");
  await put(page, "From the top", "100%-240");
  await put(page, "Width", "1920/2");
  await put(page, "Height", "140");
  await add(page, "text");
  const words = page.getByRole("combobox", { name: "Words", exact: true });
  await words.selectOption({ label: "a field" });
  await page
    .getByRole("group", { name: "Words" })
    .getByRole("combobox", { name: "Field" })
    .selectOption({ label: "Name" });
  await put(page, "From the left", "60");
  await put(page, "From the top", "870");
  await put(page, "Width", "800");
  await put(page, "Height", "80");
  await kept(page);

  await page.getByRole("button", { name: "Publish", exact: true }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("No page uses it yet.");
  await dialog.getByLabel("What is new in it").fill("The first");
  await dialog.getByRole("button", { name: "Publish", exact: true }).click();
  await expect(page.getByText("as it is in use")).toBeVisible();

  await goTo(page, "Prepare");
  await chooseCue(page, "cue-0004");
  await page.getByRole("combobox", { name: "Template" }).selectOption({ label: "Quay strap (Full words)" });
  await stayUntilOut(page, "cue-0004");
  await saved(page);
  await goTo(page, "Run");
  const wall = await openOutput(show, 0);
  await takeFound(page, wall, "Ilse Tarrow");
  const png = await shoot(wall);
  // The bar in the colour of panels of the style, where it was put and no further.
  expect(pixel(png, 20, 910).slice(0, 3)).toEqual([0x13, 0x2a, 0x42]);
  expect(pixel(png, 20, 835).slice(0, 3)).not.toEqual([0x13, 0x2a, 0x42]);
  expect(pixel(png, 970, 910).slice(0, 3)).not.toEqual([0x13, 0x2a, 0x42]);
});

test("objects are dragged, resized by their handles and nudged; each is one step back, over a reload", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  await objects(page).getByRole("button", { name: /^name/ }).click();
  const [x, width] = [
    await figure(page, "From the left").inputValue(),
    await figure(page, "Width").inputValue(),
  ];
  const box = await onCanvas(page, "name").boundingBox();
  if (!box) throw new Error("the name is not on the canvas");
  const middle = { x: box.x + 60, y: box.y + box.height / 2 };
  await drag(page, middle, { x: 40, y: -90 });
  await expect(figure(page, "From the left")).not.toHaveValue(x);
  await kept(page);
  const moved = await figure(page, "From the left").inputValue();
  const handle = await page.locator(".moveable-control.moveable-s").boundingBox();
  if (!handle) throw new Error("there are no handles");
  const height = await figure(page, "Height").inputValue();
  await drag(page, { x: handle.x + 7, y: handle.y + 7 }, { x: 0, y: 40 });
  await expect(figure(page, "Height")).not.toHaveValue(height);
  expect(await figure(page, "Width").inputValue()).toBe(width);
  await page.getByRole("application").focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Shift+ArrowRight");
  await expect(figure(page, "From the left")).toHaveValue(String(Number(moved) + 11));
  await kept(page);

  await page.reload();
  await expect(page.getByRole("button", { name: "Undo: Nudge" })).toBeEnabled();
  await objects(page).getByRole("button", { name: /^name/ }).click();
  await page.keyboard.press("Control+z");
  await expect(figure(page, "From the left")).toHaveValue(moved);
  await page.keyboard.press("Control+z");
  await expect(figure(page, "Height")).toHaveValue(height);
  await page.keyboard.press("Control+z");
  await expect(figure(page, "From the left")).toHaveValue(x);
  await expect(status(page)).toHaveText("as it is in use");
  await page.keyboard.press("Control+Shift+z");
  await expect(figure(page, "From the left")).toHaveValue(moved);
});

test("what is on air stays to the pixel while its template is edited and published; a send brings it", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeFound(page, wall, "Lantern Evening");
  const there = await shoot(wall);

  await openRoom(page, show.base, "full-title");
  await add(page, "rectangle");
  await kept(page);
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText(/in 1 evening uses? it, seen on Loft wall.*It is on air now/);
  await expect(dialog.getByText("as it will be").first()).toBeVisible();
  await dialog.getByRole("button", { name: "Publish", exact: true }).click();
  await expect(page.getByText("as it is in use")).toBeVisible();
  expect(largestDifference(await shoot(wall), there)).toBe(0);

  await goTo(page, "Run");
  await page.getByRole("button", { name: /^send/i }).first().click();
  await expect.poll(async () => largestDifference(await shoot(wall), there)).toBeGreaterThan(40);
});

test("two windows on one template: each sees what the other does, and nothing is written over", async ({
  page,
  show,
  browser,
}) => {
  await openRoom(page, show.base, "full-name");
  const other = await anotherDesk(browser, show, "design");
  await openRoom(other, show.base, "full-name");
  await objects(page).getByRole("button", { name: /^name/ }).click();
  await put(page, "From the left", "300");
  await objects(other).getByRole("button", { name: /^role/ }).click();
  await put(other, "From the top", "700");
  await objects(other).getByRole("button", { name: /^name/ }).click();
  await expect(figure(other, "From the left")).toHaveValue("300");
  await objects(page).getByRole("button", { name: /^role/ }).click();
  await expect(figure(page, "From the top")).toHaveValue("700");
  // Each takes back the own step alone.
  await page.keyboard.press("Escape");
  await page.keyboard.press("Control+z");
  await expect(figure(other, "From the left")).not.toHaveValue("300");
  await objects(other).getByRole("button", { name: /^role/ }).click();
  await expect(figure(other, "From the top")).toHaveValue("700");
  await other.context().close();
});

test("versions say what was new in them, and one of before is made the draft again", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  await add(page, "ellipse");
  await kept(page);
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  await page.getByRole("dialog").getByLabel("What is new in it").fill("A lamp");
  await page.getByRole("dialog").getByRole("button", { name: "Publish", exact: true }).click();
  await expect(page.getByRole("button", { name: "Version 2 in use" })).toBeVisible();
  await page.getByRole("button", { name: "Versions" }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("A lamp");
  await expect(dialog).toContainText("“ellipse” was added.");
  await dialog.getByRole("button", { name: /Back to this version 1/ }).click();
  await expect(objects(page).getByRole("button", { name: /^ellipse/ })).toHaveCount(0);
  await expect(page.getByRole("button", { name: "Undo: Restore version 1" })).toBeEnabled();
});

test("what is copied in one show is pasted into another; what is no object is not", async ({
  page,
  show,
  emptyShow,
  context,
}) => {
  await context.grantPermissions(["clipboard-read", "clipboard-write"]);
  await openRoom(page, show.base, "full-name");
  await choose(page, "name");
  await page.keyboard.press("Control+c");
  await expect(page.getByText("The object is copied.")).toBeVisible();
  await openRoom(page, emptyShow.base, "full-title");
  const there = await objects(page).getByRole("listitem").count();
  await page.keyboard.press("Control+v");
  await expect(objects(page).getByRole("listitem")).toHaveCount(there + 1);
  await expect(objects(page).getByRole("button", { name: /^name/ })).toHaveAttribute("aria-pressed", "true");
  await kept(page);
  await page.evaluate(() =>
    navigator.clipboard.writeText('{"format":"vesko objects 1","objects":[{"kind":"text"}]}'),
  );
  await page.keyboard.press("Control+v");
  await page.keyboard.press("Control+z");
  // The step back is that of the paste before: nothing came of this one.
  await expect(objects(page).getByRole("listitem")).toHaveCount(there);
});

test("looked at as close as can be, the canvas is no larger than a window can keep, and fits again by one key", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  const drawn = page.locator("[data-room] canvas").first();
  const area = () =>
    drawn.evaluate((canvas: HTMLCanvasElement) => [
      canvas.width * canvas.height,
      canvas.getBoundingClientRect().width,
    ]);
  const [before = 0, width = 0] = await area();
  await page.getByRole("application").focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press("+");
  await expect(page.getByText("800 %")).toBeVisible();
  await expect.poll(async () => (await area())[1]).toBe(1920 * 8);
  expect((await area())[0]).toBeLessThan(17_000_000);
  await page.keyboard.press("0");
  await expect.poll(area).toEqual([before, width]);
});

test("words say how large and narrow they come out, and how well they are read whatever is behind them", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  await choose(page, "name");
  const size = page.getByText(/^On the canvas: /);
  const contrast = page.getByText(/^Whatever is behind: /);
  await expect(size).toHaveText(/^On the canvas: [\d.]+ px$/);
  await expect(contrast).toHaveText(/: [4-9]\.\d : 1, (very )?well read$/);
  await page.getByLabel("Readable on any picture").selectOption({ label: "no shadow" });
  // Its outline is left.
  await expect(contrast).toHaveText(/: 3\.\d : 1, for large words only$/);
  await page
    .getByRole("combobox", { name: "In its box", exact: true })
    .selectOption({ label: "narrow the letters" });
  await put(page, "Width", "300");
  await expect(size).toHaveText(/ px, narrowed to \d\d %/);
});
