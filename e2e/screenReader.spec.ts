import type { Page } from "@playwright/test";
import { VIEWS } from "../app/views.ts";
import { expect, openDesk, test } from "./support/show.ts";

/** What is operated or looked at, and says nothing to whoever cannot see it unless it has a name. */
const NAMED = [
  ...["button", "link", "textbox", "searchbox", "combobox", "checkbox", "radio", "switch", "slider"],
  ...["spinbutton", "tab", "menuitem", "option", "dialog", "img", "navigation", "listbox", "progressbar"],
];
/** What somebody finds their way by. */
const PLACES = ["banner", "navigation", "main", "region", "complementary", "heading", "tablist", "dialog"];

interface Line {
  readonly role: string;
  readonly name: string;
  readonly text: string;
}

/** The page as it is read out: a line for each thing, deeper ones further in. */
async function readOut(page: Page): Promise<Line[]> {
  const tree = await page.locator("body").ariaSnapshot();
  let pictureAt = Number.POSITIVE_INFINITY;
  return tree.split("\n").flatMap((text) => {
    // What a named picture is made of is not read out.
    const indent = text.search(/\S/);
    if (indent > pictureAt) return [];
    pictureAt = /^\s*- img "/.test(text) ? indent : Number.POSITIVE_INFINITY;
    const [, role = "", name = ""] = /^\s*- '?([a-z]+)(?: "((?:[^"\\]|\\.)*)")?/.exec(text) ?? [];
    // What has words in it, or a picture with a name, is named by them.
    return role === "" ? [] : [{ role, name, text }];
  });
}

/** The same, once it reads as it did a moment before. */
async function settledReadOut(page: Page): Promise<Line[]> {
  let lines: Line[] = [];
  let before = "";
  await expect
    .poll(
      async () => {
        lines = await readOut(page);
        const now = placesOf(lines);
        const isSame = now === before && now.includes("heading");
        before = now;
        return isSame;
      },
      { intervals: [1_000] },
    )
    .toBe(true);
  return lines;
}

/** Where somebody finds what; figures, which are others at each look, as 0. */
const placesOf = (lines: readonly Line[]): string =>
  lines
    .filter(
      ({ role, name }) => PLACES.includes(role) && (name !== "" || role === "main" || role === "banner"),
    )
    .map(({ role, name, text }) => {
      const level = /\[level=(\d)\]/.exec(text)?.[1];
      return `${role}${level ? ` ${level}` : ""} ${name.replace(/\d+/g, "0")}`.trim();
    })
    .join("\n");

const SHOWN = VIEWS.filter(({ path }) => path !== "gallery" && path !== "welcome");

test("every view, as it is read out: its places are where they were, and nothing is without a name", async ({
  page,
  show,
}) => {
  for (const { path } of SHOWN) {
    await openDesk(page, show, path);
    const lines = await settledReadOut(page);
    const nameless = lines.filter(({ role, name }) => NAMED.includes(role) && name === "");
    expect(
      nameless.map(({ text }) => text.trim()),
      path,
    ).toEqual([]);
    expect(lines.filter(({ role }) => role === "main").length, `${path} has one main part`).toBe(1);
    expect(placesOf(lines)).toMatchSnapshot(`${path}.txt`);
  }
});

test("what opens over a view gives the focus back to what opened it", async ({ page, show }) => {
  for (const { path } of SHOWN) {
    await openDesk(page, show, path);
    const openers = page.locator(
      "[aria-haspopup=dialog]:visible:enabled, [aria-haspopup=menu]:visible:enabled",
    );
    const count = Math.min(await openers.count(), 12);
    for (let at = 0; at < count; at++) {
      const opener = openers.nth(at);
      const name = `${path}: ${await opener.evaluate((button) => button.ariaLabel ?? button.textContent)}`;
      await opener.focus();
      await page.keyboard.press("Enter");
      const opened = page.locator("[role=dialog]:visible, [role=menu]:visible").first();
      await expect(opened, name).toBeVisible();
      await expect
        .poll(() => opened.evaluate((over) => over.contains(document.activeElement)), `${name} has the focus`)
        .toBe(true);
      await page.keyboard.press("Escape");
      await expect(opened, name).toBeHidden();
      await expect(opener, `${name} has the focus again`).toBeFocused();
    }
  }
});
