import type { Page } from "@playwright/test";
import type { RunningShow } from "./support/runningShow.ts";
import { expect, hold, openDesk, test } from "./support/show.ts";

const tableOf = (page: Page) => page.getByRole("region", { name: "Its table" });
const cells = (page: Page) => tableOf(page).locator(".dsg-cell:not(.dsg-cell-gutter):not(.dsg-cell-header)");
const texts = (page: Page) =>
  cells(page)
    .locator("input")
    .evaluateAll((boxes) => boxes.map((box) => (box as HTMLInputElement).value));
const whoChangedWhat = (page: Page) => page.getByRole("region", { name: "Who changed what" });

async function makeTable(page: Page, show: RunningShow, name: string): Promise<void> {
  await openDesk(page, show, "feeds");
  await page.getByText("A table here").click();
  await page.getByRole("textbox", { name: "Name", exact: true }).fill(name);
  await page.getByRole("button", { name: "Make the feed" }).click();
  await page.getByRole("button", { name: "Row", exact: true }).click();
  await expect(whoChangedWhat(page).getByText("row 1 was added")).toBeVisible();
}

/** Pastes what a spreadsheet copied, into the cell that is chosen. */
async function paste(page: Page, text: string): Promise<void> {
  await page.evaluate((copied) => {
    const data = new DataTransfer();
    data.setData("text/plain", copied);
    document.dispatchEvent(
      new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }),
    );
  }, text);
}

test("a table is typed as a spreadsheet is, pasted into, moved, undone; who changed what stands beside it", async ({
  page,
  emptyShow,
}) => {
  await makeTable(page, emptyShow, "Quiz by keys");
  await cells(page).first().click();
  await page.keyboard.type("Ropewalk");
  await page.keyboard.press("Tab");
  await page.keyboard.type("12");
  await page.keyboard.press("Enter");
  await expect(whoChangedWhat(page).getByText("Ropewalk, number: 12")).toBeVisible();
  // At the end Enter goes on in a row of its own.
  await expect.poll(() => texts(page)).toEqual(["Ropewalk", "12", "", ""]);
  await cells(page).first().click();
  await paste(page, "Kiln Lane\t9\nUpper Slip\t30\nGannet Steps\t4");
  await expect.poll(() => texts(page)).toEqual(["Kiln Lane", "9", "Upper Slip", "30", "Gannet Steps", "4"]);
  await expect(whoChangedWhat(page).getByText("Gannet Steps was added")).toBeVisible();
  // What is wider than the table finds room, and one undo for each thing done takes it back.
  await cells(page).first().click();
  await paste(page, "Kiln Lane\t9\tblue door");
  await expect(tableOf(page).locator(".dsg-cell-header", { hasText: "Column 3" })).toBeVisible();
  await expect.poll(() => texts(page)).toContain("blue door");
  for (let i = 0; i < 2; i++) await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(tableOf(page).locator(".dsg-cell-header", { hasText: "Column 3" })).toHaveCount(0);
  // A column comes and goes.
  await page.getByRole("textbox", { name: "New column" }).fill("boat");
  await page.keyboard.press("Enter");
  await expect(tableOf(page).locator(".dsg-cell-header", { hasText: "boat" })).toBeVisible();
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(tableOf(page).locator(".dsg-cell-header", { hasText: "boat" })).toHaveCount(0);
  // A row is dragged by its number to the top; Alt and an arrow move it back down.
  const grips = tableOf(page).getByTitle("Drag to another place");
  const [second, first] = [await grips.nth(1).boundingBox(), await grips.nth(0).boundingBox()];
  if (!second || !first) throw new Error("The rows are not drawn");
  await page.mouse.move(second.x + 20, second.y + 18);
  await page.mouse.down();
  await page.mouse.move(first.x + 20, first.y + 15, { steps: 8 });
  await page.mouse.up();
  await expect.poll(async () => (await texts(page))[0]).toBe("Upper Slip");
  await cells(page).first().click();
  await page.keyboard.press("Alt+ArrowDown");
  await expect.poll(async () => (await texts(page))[0]).toBe("Kiln Lane");
  await page.getByRole("button", { name: /^Sort by name/ }).click();
  await expect.poll(() => texts(page)).toEqual(["Gannet Steps", "4", "Kiln Lane", "9", "Upper Slip", "30"]);
  // What is not allowed is told, and the cell is as it was.
  await page.getByRole("spinbutton", { name: "The least in “number”" }).fill("0");
  await page.keyboard.press("Enter");
  await cells(page).nth(1).click();
  await page.keyboard.type("-4");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/“number” has “-4” in row 1, and 0 is the least allowed/)).toBeVisible();
  await expect.poll(async () => (await texts(page))[1]).toBe("4");
  await page.getByRole("button", { name: /^Undo/ }).click();
  await expect(whoChangedWhat(page).getByText("undone: sorted by “name”")).toBeVisible();
  await expect.poll(async () => (await texts(page))[0]).toBe("Kiln Lane");
});

test("a phone changes its cells and nothing else, through a lost network: in order, each once; a clash is shown, and the link can be ended", async ({
  page,
  emptyShow,
  browser,
}) => {
  await makeTable(page, emptyShow, "Quiz by phone");
  await cells(page).first().click();
  await paste(page, "Ropewalk\t12\nKiln Lane\t9\nUpper Slip\t30");
  await expect.poll(() => texts(page)).toEqual(["Ropewalk", "12", "Kiln Lane", "9", "Upper Slip", "30"]);
  const links = page.getByRole("region", { name: "Links for phones" });
  await links.getByRole("button", { name: "New link" }).click();
  await links.getByRole("textbox", { name: "Who has it" }).fill("Mara at the door");
  await links.getByRole("checkbox", { name: "may move rows up and down" }).check();
  await links.getByRole("button", { name: "Make the link" }).click();
  await links.getByRole("button", { name: "Short code" }).click();
  const code = (await links.locator("strong.font-mono").textContent()) ?? "";

  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const phone = await context.newPage();
  await phone.goto(`${emptyShow.base}/table`);
  await phone.getByRole("textbox").fill(code);
  await phone.getByRole("button", { name: "Open" }).click();
  await expect(phone.getByRole("heading", { name: "Quiz by phone" })).toBeVisible();
  await phone.getByRole("button", { name: "Ropewalk, number: one more" }).click();
  await expect.poll(async () => (await texts(page))[1]).toBe("13");
  await expect(whoChangedWhat(page).getByText("Ropewalk, number: 12 → 13")).toBeVisible();
  await expect(whoChangedWhat(page).getByText("Mara at the door").first()).toBeVisible();

  await context.setOffline(true);
  await expect(phone.getByText(/No connection/)).toBeVisible();
  for (let i = 0; i < 3; i++) await phone.getByRole("button", { name: "Ropewalk, number: one more" }).click();
  const kiln = phone.getByRole("textbox", { name: "Kiln Lane, number" });
  await kiln.fill("20");
  await kiln.press("Enter");
  await expect(phone.getByText(/No connection\. 3 changes wait here/)).toBeVisible();
  await expect(phone.getByRole("textbox", { name: "Ropewalk, number" })).toHaveValue("16");
  // Meanwhile the desk writes into one of those cells.
  await cells(page).nth(3).click();
  await page.keyboard.type("11");
  await page.keyboard.press("Enter");
  await expect(whoChangedWhat(page).getByText("Kiln Lane, number: 9 → 11")).toBeVisible();
  await context.setOffline(false);
  await expect.poll(async () => (await texts(page))[1]).toBe("16");
  const clash = phone.getByRole("region", { name: "Not in the table" });
  await expect(clash).toContainText("Kiln Lane, number: it is “11” now, changed elsewhere. You typed “20”.");
  expect((await texts(page))[3]).toBe("11");
  // It is still there when the page is loaded again, and is written where that is chosen.
  await phone.reload();
  await clash.getByRole("button", { name: "Write “20”" }).click();
  await expect.poll(async () => (await texts(page))[3]).toBe("20");
  await expect(clash).toHaveCount(0);

  // By keys as a finger does it: the last row goes to the top.
  const grip = phone.getByRole("button", { name: "Move Upper Slip" });
  await grip.focus();
  await phone.keyboard.press("Space");
  await expect(grip).toHaveAttribute("aria-pressed", "true");
  await phone.keyboard.press("ArrowUp");
  await phone.keyboard.press("ArrowUp");
  await phone.keyboard.press("Space");
  await expect(whoChangedWhat(page).getByText(/Upper Slip was moved/)).toBeVisible();

  await hold(page, links.getByRole("button", { name: "End" }), () =>
    expect(phone.getByText(/The desk has ended this link/)).toBeVisible(),
  );
  await expect(phone.getByRole("button", { name: "Ropewalk, number: one more" })).toBeDisabled();
  await context.close();
});
