import type { Page } from "@playwright/test";
import { StandInPad } from "./support/midi.ts";
import { expect, goTo, marked, openDesk, test } from "./support/show.ts";

const row = (page: Page, action: string) => page.getByRole("listitem").filter({ hasText: action }).first();
const onAir = (page: Page) => page.getByRole("region", { name: "Layers" });

test("a pad is learnt by pressing, is lit, and keeps guarded what is guarded", async ({ page, show }) => {
  const pad = await StandInPad.plugIn(page);
  await openDesk(page, show, "keys");
  await page.getByRole("checkbox", { name: "Use the MIDI pads of this machine" }).check();
  await expect(page.getByRole("status").filter({ hasText: "Stand-in pad" })).toBeVisible();
  for (const [action, note] of [
    ["Take", 60],
    ["Clear all", 61],
  ] as const) {
    await page.getByRole("button", { name: `Another key for ${action}`, exact: true }).click();
    await pad.down(note);
    await pad.up(note);
    await expect(row(page, action).getByText(`pad ${note}`)).toBeVisible();
  }
  await goTo(page, "Run");
  await pad.open();
  await expect.poll(() => pad.isLit(60)).toBe(true);
  await pad.down(60);
  await pad.up(60);
  await expect(onAir(page)).toContainText("Night harbour");
  // A short press of a guarded one is shown, and clears nothing; a long one does.
  const clearAll = page.getByRole("button", { name: /^Clear all/ });
  await pad.down(61);
  await pad.up(61);
  await pad.down(60);
  await pad.up(60);
  await expect(onAir(page)).toContainText("Merrow Quay");
  await expect(onAir(page)).toContainText("Night harbour");
  await pad.down(61);
  await expect(onAir(page)).not.toContainText("Night harbour");
  await pad.up(61);
  await expect(clearAll).toBeVisible();
});

test("with two run views of one browser a press is one press: the one that was looked at last hears it", async ({
  page,
  show,
}) => {
  const pad = await StandInPad.plugIn(page);
  await openDesk(page, show, "keys");
  await page.getByRole("checkbox", { name: "Use the MIDI pads of this machine" }).check();
  await page.getByRole("button", { name: "Another key for Stop triggers, and let them go" }).click();
  await pad.down(60);
  await expect(row(page, "Stop triggers").getByText("pad 60")).toBeVisible();
  await goTo(page, "Run");
  const other = await page.context().newPage();
  const otherPad = await StandInPad.plugIn(other);
  await openDesk(other, show);
  await otherPad.open();
  // The same key, as both windows hear it: pressed by both, they would be let go again.
  for (const of of [other, page]) {
    await of.evaluate(() => window.dispatchEvent(new Event("focus")));
    const isStopped = of === other;
    await Promise.all([pad.down(60), otherPad.down(60)]);
    for (const each of [page, other])
      await expect(
        each.getByRole("button", { name: isStopped ? /Let triggers go/ : /Stop triggers/ }),
      ).toBeVisible();
  }
  await goTo(page, "Timing");
  await page.getByRole("button", { name: "Log", exact: true }).click();
  await expect(page.getByText("Triggers let go")).toHaveCount(1);
  await expect(page.getByText("Triggers stopped")).toHaveCount(1);
});

test("a key of a pad sets a trigger off; another page of this browser knows the pad again", async ({
  page,
  show,
}) => {
  const pad = await StandInPad.plugIn(page);
  await openDesk(page, show, "triggers");
  await page.getByRole("button", { name: "New trigger" }).click();
  await page.getByRole("menuitem", { name: /A page with a source/ }).click();
  await page.getByLabel("What sets it off").selectOption("pad");
  await page.getByRole("button", { name: /learn another/ }).click();
  await pad.open();
  await pad.down(72);
  await expect(page.getByText(/When pad 72 is pressed/)).toBeVisible();
  await goTo(page, "Run");
  await page.reload();
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
  await pad.open();
  await pad.down(72);
  await expect(onAir(page)).toContainText("Night harbour");
  await expect(onAir(page).getByLabel("brought by a trigger")).toBeVisible();
});

test("a message by HTTP presses what it was given to; its link alone opens that, and ends when it is renewed", async ({
  page,
  show,
  request,
}) => {
  await openDesk(page, show, "keys");
  await page.getByRole("button", { name: "Another key for Take", exact: true }).click();
  await page.getByRole("textbox", { name: "Or the address of a message" }).fill("/show/go");
  await page.keyboard.press("Enter");
  await expect(row(page, "Take").getByText("/show/go")).toBeVisible();
  await page.goto(`${show.base}/triggers`);
  const told = await page.getByText(/\/hook\/\S+\/vesko\/go/).innerText();
  const hook = /\/hook\/[\w-]+/.exec(told)?.[0] ?? "";
  const post = (path: string) => request.post(`${show.base}${path}`);
  expect((await post(`${hook}/show/go`)).status()).toBe(200);
  await goTo(page, "Run");
  await expect(onAir(page)).toContainText("Night harbour");
  await expect.poll(() => marked(page, "air")).toHaveLength(1);
  expect((await post("/hook/not-a-link/show/go")).status()).toBe(404);
  expect((await post(`${hook}/sh*w/go`)).status()).toBe(400);
  expect((await request.get(`${show.base}${hook}/show/go`)).status()).toBe(404);
  await page.goto(`${show.base}/triggers`);
  await page.getByRole("region", { name: "Devices" }).getByRole("button", { name: "New link" }).click();
  await expect(page.getByText(told)).toBeHidden();
  expect((await post(`${hook}/show/go`)).status()).toBe(404);
});

test("backdrops change with each song, on the beat of the take, and the words stay", async ({
  page,
  show,
}) => {
  await openDesk(page, show);
  await page.keyboard.press("Space");
  await expect(onAir(page)).toContainText("Night harbour");
  await page.getByRole("button", { name: "Settings of Backdrop" }).click();
  await page.getByLabel("Next comes").selectOption("song");
  await page.keyboard.press("Escape");
  const find = async (words: string) => {
    await page.keyboard.press("f");
    await page.getByRole("combobox").fill(words);
    await expect(page.getByRole("option").first()).toBeVisible();
    await page.keyboard.press("Control+Enter");
  };
  await find("Carry the Lamp Down");
  await expect(onAir(page)).toContainText("Carry the Lamp Down");
  await expect(onAir(page)).toContainText("Night harbour");
  await find("Harbour Kind");
  await expect(onAir(page)).toContainText("Harbour Kind");
  await expect(onAir(page)).not.toContainText("Night harbour");
  await expect(onAir(page)).toContainText("Harbour at night");
});
