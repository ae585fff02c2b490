import { pixel, shoot } from "./support/pixels.ts";
import {
  add,
  choose,
  drag,
  figure,
  kept,
  objects,
  onCanvas,
  openRoom,
  publish,
  put,
} from "./support/room.ts";
import { expect, test } from "./support/show.ts";

test("another shape of a template is arranged by itself, changed alone, and given back", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  await choose(page, "name");
  const [x, width] = [
    await figure(page, "From the left").inputValue(),
    await figure(page, "Width").inputValue(),
  ];
  await page.getByRole("button", { name: "Shapes…" }).click();
  await page.getByRole("button", { name: "Add portrait, 1080 × 1920" }).click();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("application", { name: /1080 by 1920/ })).toBeVisible();
  await expect(figure(page, "From the left")).not.toHaveValue(x);
  const arranged = await figure(page, "From the left").inputValue();
  await put(page, "From the left", "70");
  await expect(page.getByText("Its place or size is this shape’s own.")).toBeVisible();
  await page.getByRole("combobox", { name: "Shape" }).selectOption("0");
  await expect(figure(page, "From the left")).toHaveValue(x);
  await expect(figure(page, "Width")).toHaveValue(width);
  await page.getByRole("button", { name: "Portrait", exact: true }).click();
  await expect(figure(page, "From the left")).toHaveValue("70");
  await page.getByRole("button", { name: "As it is arranged" }).click();
  await expect(figure(page, "From the left")).toHaveValue(arranged);
});

test("a field that a template does not show is told by its name, and shown by one press", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  await page.getByRole("textbox", { name: "Name of a new field" }).fill("Pronouns");
  await page.getByRole("button", { name: "Add field" }).click();
  await expect(page.getByText("not shown here")).toBeVisible();
  await publish(page);
  await page.getByRole("link", { name: "Back to Design" }).click();
  await page.getByRole("link", { name: "Add an object for it in Name, bare" }).click();
  await expect(objects(page).getByRole("button", { name: /^Pronouns/ })).toBeVisible();
  await expect(page.getByText("not shown here")).toHaveCount(0);
  await kept(page);
  await expect(page).toHaveURL(/\/design\/template\/full-name$/);
});

test("words become a field by one press beside them, and the form has it with those words", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  await add(page, "text");
  await page.getByRole("button", { name: "Let pages fill this in" }).click();
  await expect(page.getByRole("combobox", { name: "Words", exact: true })).toHaveValue("field");
  await page.getByText("The form, as it is filled in").click();
  await expect(page.locator("[data-fields]").getByRole("textbox", { name: "text", exact: true })).toHaveValue(
    "Words",
  );
  await kept(page);
});

test("a rounded bar that is made wider keeps its corners round", async ({ page, show }) => {
  await openRoom(page, show.base, "full-name");
  await add(page, "rectangle");
  await put(page, "From the left", "200");
  await put(page, "From the top", "200");
  await put(page, "Width", "600");
  await put(page, "Height", "300");
  await put(page, "Corner radius", "120");
  const id = "rectangle";
  const corners = async () => {
    await page.keyboard.press("Escape");
    const canvas = page.getByRole("application");
    const at = await canvas.boundingBox();
    const box = await onCanvas(page, id).boundingBox();
    if (!at || !box) throw new Error("nothing is on the canvas");
    const png = await shoot(canvas);
    const [left, top] = [Math.round(box.x - at.x), Math.round(box.y - at.y)];
    const right = Math.round(left + box.width);
    const radius = (120 / 300) * box.height;
    const seen = (x: number, y: number) => pixel(png, Math.round(x), Math.round(y)).slice(0, 3).join();
    // The very corner is not of the bar; its edge is, from the end of the curve on; and so is what lies within the curve.
    const within = radius * (1 - Math.SQRT1_2) + 3;
    return [
      seen(left + 2, top + 2) !== seen(left + radius + 4, top + 3),
      seen(right - 3, top + 2) !== seen(right - radius - 4, top + 3),
      seen(left + within, top + within) === seen(left + radius + 4, top + 3),
      seen(right - within, top + within) === seen(left + radius + 4, top + 3),
    ];
  };
  expect(await corners()).toEqual([true, true, true, true]);
  await choose(page, id);
  const handle = await page.locator(".moveable-control.moveable-e").boundingBox();
  if (!handle) throw new Error("there are no handles");
  await drag(page, { x: handle.x + 7, y: handle.y + 7 }, { x: 90, y: 0 });
  await expect(figure(page, "Width")).not.toHaveValue("600");
  expect(await corners()).toEqual([true, true, true, true]);
});

test("the whole of it by keys: made, named, moved, sized, doubled, put behind, deleted, taken back and published", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  await page.getByRole("button", { name: "Add", exact: true }).first().focus();
  await page.keyboard.press("Enter");
  await page.keyboard.type("ell");
  await page.keyboard.press("Enter");
  const made = objects(page).getByRole("button", { name: /^ellipse/ });
  await expect(made).toBeVisible();
  await made.focus();
  await page.keyboard.press("F2");
  await page.keyboard.press("Control+a");
  await page.keyboard.type("Lamp");
  await page.keyboard.press("Enter");
  const lamp = objects(page).getByRole("button", { name: /^Lamp/ });
  await lamp.focus();
  const x = Number(await figure(page, "From the left").inputValue());
  await page.keyboard.press("Shift+ArrowRight");
  await expect(figure(page, "From the left")).toHaveValue(String(x + 10));
  await page.keyboard.press("Control+d");
  await expect(lamp).toHaveCount(2);
  await page.getByRole("application").focus();
  await page.keyboard.press("Delete");
  await expect(lamp).toHaveCount(1);
  await page.keyboard.press("Control+z");
  await expect(lamp).toHaveCount(2);
  await lamp.first().focus();
  await page.keyboard.press("Enter");
  await figure(page, "Width").focus();
  await page.keyboard.press("Control+a");
  await page.keyboard.type("1920/4");
  await page.keyboard.press("Enter");
  await kept(page);
  await page.getByRole("button", { name: "Publish", exact: true }).focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("dialog")).toBeVisible();
  await page.getByLabel("What is new in it").focus();
  await page.keyboard.type("Two lamps");
  await page.keyboard.press("Enter");
  await expect(page.getByText("as it is in use")).toBeVisible();
});
