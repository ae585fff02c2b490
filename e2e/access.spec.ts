import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";
import { VIEWS } from "../app/views.ts";
import { tokenIn } from "../test-support/deskPage.ts";
import { choose, openRoom } from "./support/room.ts";
import { chooseCue, expect, expectCues, goTo, openDesk, saved, test } from "./support/show.ts";

/** Source: WCAG 2.2 AA, by the rules of axe-core. */
const TAGS = ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa", "best-practice"];

/** Looks a page through as a whole. */
async function check(what: string, on: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page: on })
    .options({ resultTypes: ["violations"], runOnly: { type: "tag", values: TAGS } })
    .analyze();
  expect(
    violations.map(({ id, nodes }) => `${what}: ${id} ${nodes.map((n) => n.target).join(" | ")}`),
  ).toEqual([]);
}

test("no main view has a fault that axe-core finds", async ({ page, show, openOutput }) => {
  await openDesk(page, show);
  for (let i = 0; i < 6; i++) {
    const next = await page.locator("[data-mark=next]").first().getAttribute("data-step");
    await page.keyboard.press("Space");
    await expect(page.locator(`[data-step="${next}"]`)).toHaveAttribute("data-mark", "air");
  }
  await expect(page.locator("[data-mark=air]", { hasText: "we carry down" })).toBeVisible();
  await check("run in mid-song", page);
  await openDesk(page, show, "prepare");
  await chooseCue(page, "cue-0005");
  await saved(page);
  await check("prepare with a song", page);
  await openDesk(page, show, "songs");
  await expect(page.getByRole("textbox", { name: "Words" })).toBeVisible();
  await check("songs", page);
  await openDesk(page, show, "screens");
  await expect(page.getByRole("img", { name: /^Code with the link/ })).toBeVisible();
  await check("screens", page);
  await page.getByRole("button", { name: "Room" }).click();
  await check("the room", page);
  const watch = await page.getByRole("link", { name: "Open the multi-view" }).getAttribute("href");
  await page.goto(`${show.base}${watch}`);
  await expect(page.getByRole("heading", { name: /Loft wall/ })).toBeVisible();
  await check("multi-view", page);
  await check("output", await openOutput(show, 0));
});

test("the room in which templates are made, and that of styles, have no fault that axe-core finds", async ({
  page,
  show,
}) => {
  await openRoom(page, show.base, "full-name");
  await check("the room", page);
  await choose(page, "name");
  await check("the room with an object", page);
  await page.getByRole("button", { name: "Motion", exact: true }).click();
  await page
    .getByRole("slider", { name: /keyframe 1/ })
    .first()
    .focus();
  await check("the room with a keyframe", page);
  await page.goto(`${show.base}/design/style/harbour-lamp`);
  await expect(page.getByRole("img", { name: "Name, bare" })).toBeVisible();
  await check("a style", page);
});

test("no other view, panel or empty state has a fault that axe-core finds @long", async ({
  page,
  show,
  emptyShow,
}) => {
  await openDesk(page, show);
  await check("run", page);
  await page.getByRole("button", { name: "Enlarge Stream" }).click();
  await check("an output enlarged", page);
  await page.keyboard.press("Escape");
  await openDesk(page, show, "prepare");
  for (const cue of ["cue-0004", "cue-0007"]) {
    await page.locator(`[data-cue=${cue}] [aria-pressed]`).first().click();
    await saved(page);
    await check(`prepare with ${cue}`, page);
  }
  for (const view of ["design", "library"] as const) {
    await openDesk(page, show, view);
    await expect(
      page.getByRole("main").getByText(view === "design" ? "Harbour horizon" : "Paper boat", { exact: true }),
    ).toBeVisible();
    await check(view, page);
  }
  await openDesk(page, show, "texts");
  await check("texts", page);
  await openDesk(page, show, "health");
  await check("health", page);
  for (const view of ["Keys", "Timing"] as const) {
    await goTo(page, view);
    await check(view, page);
  }
  await page.getByRole("button", { name: "Log" }).click();
  await expect(page.getByRole("row", { name: /Show opened/ })).toBeVisible();
  await check("what was done", page);
  await openDesk(page, show, "evenings");
  await page.getByRole("button", { name: "Duplicate" }).click();
  await expect(page.getByRole("checkbox", { name: /Night harbour/ })).toBeVisible();
  await check("evenings", page);
  await openDesk(page, show, "prepare");
  await page.keyboard.press("n");
  await page.keyboard.insertText("Ilse Tarrow\tnet mender\nOdhran Vael\tharbour pilot");
  await expect(page.getByRole("cell", { name: "Odhran Vael" })).toBeVisible();
  await check("prepare with a list", page);
  await openDesk(page, show, "prepare");
  await page.keyboard.press("r");
  await page.keyboard.type("lantern");
  await check("prepare with find and replace", page);
  await page.keyboard.press("Control+f");
  await page.keyboard.type("still waters");
  await expect(page.getByRole("option").first()).toBeVisible();
  await check("find", page);
  await page.keyboard.press("Escape");
  await openDesk(page, emptyShow);
  await check("run, empty", page);
  await openDesk(page, emptyShow, "prepare");
  await check("prepare, empty", page);
});

for (const [width, height, scheme] of [
  [1280, 800, "light"],
  [820, 1180, "dark"],
  [820, 1180, "light"],
  [390, 844, "dark"],
  [390, 844, "light"],
] as const)
  test(`at ${width} wide, ${scheme}, no view has a fault that axe-core finds, and none is wider than its window @long`, async ({
    page,
    show,
  }) => {
    await page.setViewportSize({ width, height });
    await page.addInitScript((kept) => localStorage.setItem("vesko-scheme", kept), scheme);
    await openDesk(page, show);
    for (let i = 0; i < 6; i++) {
      const next = await page.locator("[data-mark=next]").first().getAttribute("data-step");
      await page.keyboard.press("Space");
      await expect(page.locator(`[data-step="${next}"]`)).toHaveAttribute("data-mark", "air");
    }
    for (const { path: view } of VIEWS.filter(({ path }) => path !== "gallery")) {
      await openDesk(page, show, view);
      await check(`${view} at ${width}, ${scheme}`, page);
      expect(await page.evaluate(() => document.documentElement.scrollWidth), view).toBeLessThanOrEqual(
        width,
      );
    }
    const screens = await page.evaluate(async () => (await fetch("/screens")).text());
    await page.goto(`${show.base}/watch/${tokenIn(screens, "watchToken")}`);
    await expect(page.getByRole("heading", { name: /Loft wall/ })).toBeVisible();
    await check(`multi-view at ${width}, ${scheme}`, page);
  });

test("in colours that somebody's system forces, what is on air, chosen and seen stays told apart", async ({
  page,
  show,
}) => {
  await page.emulateMedia({ forcedColors: "active" });
  await openDesk(page, show);
  await page.keyboard.press("Space");
  const air = page.locator("[data-mark=air]").first();
  await expect(air).toBeVisible();
  const edgeOf = (mark: string) =>
    page
      .locator(`[data-mark=${mark}]`)
      .first()
      .evaluate((row) => getComputedStyle(row).borderLeftColor);
  const ground = await page.evaluate(() => {
    const probe = document.createElement("div");
    probe.style.color = "Canvas";
    document.body.append(probe);
    const { color } = getComputedStyle(probe);
    probe.remove();
    return color;
  });
  expect(await edgeOf("none")).toBe(ground);
  expect(await edgeOf("air")).not.toBe(ground);
  const backOf = (name: string) =>
    page
      .getByRole("navigation", { name: "Views" })
      .getByRole("link", { name, exact: true })
      .evaluate((tab) => getComputedStyle(tab).backgroundColor);
  expect(await backOf("Run")).not.toBe(await backOf("Design"));
  // Pictures of screens are what they are.
  await expect(page.getByRole("img", { name: /Loft wall/ }).first()).toHaveCSS("forced-color-adjust", "none");
});

test("both views fit 1280 by 800 without scrolling the page, and every key is listed", async ({
  page,
  show,
}) => {
  await openDesk(page, show);
  const scrolls = () =>
    page.evaluate(() => {
      const { scrollHeight, scrollWidth, clientHeight, clientWidth } = document.documentElement;
      return scrollHeight > clientHeight || scrollWidth > clientWidth;
    });
  expect(await scrolls()).toBe(false);
  for (const key of ["Space", "X", "D", "↓", "↑", "→", "←", "Home", "F", "O", "1", "6", "U", "Esc", "Del"])
    await expect(page.locator("kbd", { hasText: new RegExp(`^${key}$`) }).first()).toBeInViewport({
      ratio: 1,
    });
  await openDesk(page, show, "prepare");
  expect(await scrolls()).toBe(false);
});

test("another origin's form cannot edit, and a wrong link opens nothing", async ({ page, show, request }) => {
  const answer = await request.post(`${show.base}/edit`, {
    headers: { Origin: "http://elsewhere.example", "Content-Type": "application/json" },
    data: { actor: "somebody-else", edit: { kind: "deleteCue", cueId: "cue-0001" } },
  });
  expect(answer.status()).toBeGreaterThanOrEqual(400);
  const renamed = await request.get(`${show.base}/run`, { headers: { Host: "rebound.example" } });
  expect(renamed.status()).toBe(421);
  expect((await page.goto(`${show.base}/out/no-such-token`))?.status()).toBe(404);
  await expect(page.getByText("This link opens nothing, or not any more.")).toBeVisible();
  await page.goto(`${show.base}/no/such/page`);
  await expect(page.getByText("Nothing is here")).toBeVisible();
  await openDesk(page, show, "prepare");
  await expectCues(page, 42);
});
