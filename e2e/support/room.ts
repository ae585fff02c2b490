import type { Locator, Page } from "@playwright/test";
import { expect } from "./show.ts";

/** A figure of the chosen object, by its name. */
export const figure = (page: Page, label: string): Locator =>
  page.getByRole("region", { name: "Properties" }).getByRole("textbox", { name: label, exact: true }).first();
export const objects = (page: Page) => page.getByRole("list", { name: /Objects/ });
export const onCanvas = (page: Page, id: string) => page.locator(`[data-object="${id}"]`);
export const status = (page: Page) => page.locator("header [role=status]").last();

/** All that was done is on the server. */
export const kept = (page: Page) =>
  expect(page.getByText(/draft, not in use yet|as it is in use/)).toBeVisible();

export async function put(page: Page, label: string, typed: string): Promise<void> {
  await figure(page, label).fill(typed);
  await figure(page, label).press("Enter");
}

export async function add(page: Page, kind: string): Promise<void> {
  await page.getByRole("button", { name: "Add", exact: true }).first().click();
  await page.getByRole("menuitem", { name: kind, exact: true }).click();
}

/** Chooses an object in the list of them. */
export const choose = (page: Page, id: string) =>
  objects(page)
    .getByRole("button", { name: new RegExp(`^${id}`) })
    .click();

export async function openRoom(page: Page, base: string, id: string): Promise<void> {
  await page.goto(`${base}/design/template/${id}`);
  await expect(page.getByRole("application")).toBeVisible();
}

export async function publish(page: Page, note = ""): Promise<void> {
  await page.getByRole("button", { name: "Publish", exact: true }).click();
  const dialog = page.getByRole("dialog");
  await dialog.getByLabel("What is new in it").fill(note);
  await dialog.getByRole("button", { name: "Publish", exact: true }).click();
  await expect(page.getByText("as it is in use")).toBeVisible();
}

export async function drag(
  page: Page,
  from: { x: number; y: number },
  by: { x: number; y: number },
): Promise<void> {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let i = 1; i <= 8; i++) await page.mouse.move(from.x + (by.x * i) / 8, from.y + (by.y * i) / 8);
  await page.mouse.up();
}
