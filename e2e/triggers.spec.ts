import { createSocket } from "node:dgram";
import { chromium } from "@playwright/test";
import { BROWSER_ARGS } from "../bench/browser.ts";
import { writeOsc } from "../server/links/osc.ts";
import { RunningMixer } from "./support/mixer.ts";
import { largestDifference, shoot } from "./support/pixels.ts";
import { expect, goTo, openDesk, output, takeCue, test } from "./support/show.ts";

/** A mixer beside the show of a test. */
const withMixer = test.extend<{ mixer: RunningMixer }>({
  mixer: async ({ show }, use) => {
    const mixer = await RunningMixer.start(show);
    await use(mixer);
    await mixer.kill();
  },
});

const PROGRAM = "What comes by itself";

withMixer(
  "a strap comes with its camera and leaves with it, over a picture that moves",
  async ({ page, show, mixer, openOutput }) => {
    await openDesk(page, show);
    const stream = await openOutput(show, 1, "?over=picture");
    // What the mixer has when it is first heard sets nothing off.
    await expect(output(stream)).toHaveAttribute("data-program", "room");
    await expect(page.getByRole("region", { name: PROGRAM })).toContainText("PROGRAMRoom");
    await mixer.do("preview", 1);
    await expect(page.getByRole("region", { name: PROGRAM })).toContainText("brings Ilse Tarrow");
    await mixer.do("cut");
    await expect(output(stream)).toHaveAttribute("data-program", "lectern");
    const titles = page.getByRole("region", { name: "Layers" });
    await expect(titles).toContainText("Ilse Tarrow");
    await expect(titles.getByLabel("brought by a trigger")).toBeVisible();
    // The picture beneath moves: two looks at it differ where no title stands.
    const area = { x: 900, y: 0, width: 1_000, height: 500 };
    const first = await shoot(stream);
    await expect.poll(async () => largestDifference(first, await shoot(stream), area)).toBeGreaterThan(20);
    // Two are at the lectern: the key brings the other, who leaves with the camera as well.
    await expect(page.getByRole("region", { name: PROGRAM })).toContainText("brings Noor Halvard");
    await page.keyboard.press("m");
    await expect(titles).toContainText("Noor Halvard");
    await mixer.do("program", 3);
    await expect(titles).not.toContainText("Noor Halvard");
    await expect(titles).not.toContainText("Ilse Tarrow");
  },
);

withMixer(
  "a hand goes before a camera; one key stops all triggers, on every desk",
  async ({ page, show, mixer }) => {
    await openDesk(page, show);
    const titles = page.getByRole("region", { name: "Layers" });
    await expect(page.getByRole("region", { name: PROGRAM })).toContainText("PROGRAMRoom");
    await takeCue(page, "cue-0012");
    await expect(titles).toContainText("Teodor Anselm");
    await mixer.do("program", 1);
    await expect(page.getByRole("region", { name: PROGRAM })).toContainText("PROGRAMLectern");
    await expect(titles).toContainText("Teodor Anselm");
    await mixer.do("program", 3);
    await expect(page.getByRole("region", { name: PROGRAM })).toContainText("PROGRAMRoom");
    await expect(titles).toContainText("Teodor Anselm");
    await page.keyboard.press("o");
    await expect(titles).not.toContainText("Teodor Anselm");
    await page.keyboard.press("t");
    await expect(page.getByText("TRIGGERS ARE STOPPED")).toBeVisible();
    await mixer.do("program", 2);
    await expect(page.getByRole("region", { name: PROGRAM })).toContainText("PROGRAMSingers");
    await mixer.do("program", 4);
    await expect(page.getByRole("region", { name: PROGRAM })).toContainText("PROGRAMQuay");
    await page.keyboard.press("t");
    await expect(page.getByText("TRIGGERS ARE STOPPED")).toBeHidden();
    // What would have come is not made up for; the next camera brings its own.
    await expect(titles).not.toContainText("Teodor Anselm");
    await mixer.do("program", 2);
    await expect(titles).toContainText("Teodor Anselm");
  },
);

withMixer("a mixer that is gone is told of, and its return moves nothing", async ({ page, show, mixer }) => {
  test.slow();
  await openDesk(page, show);
  const titles = page.getByRole("region", { name: "Layers" });
  await expect(page.getByRole("region", { name: PROGRAM })).toContainText("PROGRAMRoom");
  await mixer.do("program", 4);
  await expect(titles).toContainText("Last ferry 22:40");
  // Only one that was heard regularly can be missed.
  await expect.poll(async () => (await fetch(`${mixer.base}/state`)).ok, { intervals: [4_000] }).toBe(true);
  await mixer.kill();
  await expect(page.getByText("The mixer is not heard any more.")).toBeVisible({ timeout: 20_000 });
  await expect(titles).toContainText("Last ferry 22:40");
  const again = await RunningMixer.start(show);
  try {
    await expect(page.getByText("The mixer is heard again.")).toBeVisible({ timeout: 20_000 });
    await expect(page.getByRole("region", { name: PROGRAM })).toContainText("PROGRAMRoom");
    await expect(titles).toContainText("Last ferry 22:40");
  } finally {
    await again.kill();
  }
});

test("a trigger is made from choices, reads as a sentence, acts on a message, and stands in the log", async ({
  page,
  show,
}) => {
  await openDesk(page, show, "triggers");
  await expect(page.getByText("in Run brings who else is there: Noor Halvard.")).toBeVisible();
  await page.getByRole("button", { name: "New trigger" }).click();
  await page.getByRole("menuitem", { name: /when a message comes/ }).click();
  const form = page.getByRole("main", { name: "Triggers" });
  const address = form.getByLabel("OSC address");
  await address.fill("no slash");
  await address.press("Tab");
  await expect(page.getByText("An OSC address begins with /")).toBeVisible();
  await address.fill("/vesko/soup");
  await address.press("Tab");
  await form.getByLabel("Cue", { exact: true }).selectOption({ label: "14 Last ferry 22:40" });
  await form.getByLabel("How long it stays").selectOption("for");
  await form.getByLabel("Stay, s").fill("4");
  await form.getByLabel("Stay, s").press("Enter");
  await expect(form).toContainText("When /vesko/soup comes: take “Last ferry 22:40”, stay 4 s.");
  await goTo(page, "Run");
  const socket = createSocket("udp4");
  socket.send(writeOsc("/vesko/soup", []), show.devicePort("osc"), "127.0.0.1");
  const layers = page.getByRole("region", { name: "Layers" });
  await expect(layers).toContainText("Last ferry 22:40");
  await expect(layers).not.toContainText("Last ferry 22:40", { timeout: 10_000 });
  socket.close();
  await goTo(page, "Timing");
  await page.getByRole("button", { name: "Log", exact: true }).click();
  await expect(page.getByText(/because \/vesko\/soup comes/)).toBeVisible();
});

test("by hand a source is on program where no mixer is, and the squeeze carries it", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show, "triggers");
  const wall = await openOutput(show, 0, "?over=picture");
  const quay = page.getByRole("listitem").filter({ hasText: "the ferry" });
  await quay.getByRole("button", { name: "program" }).click();
  await expect(quay.getByRole("button", { name: "PROGRAM" })).toBeVisible();
  await expect(output(wall)).toHaveAttribute("data-program", "quay");
  await goTo(page, "Run");
  await takeCue(page, "cue-0025");
  const inWindow = wall.locator("[data-piece] [data-source=quay]");
  await expect(inWindow).toBeVisible();
  await expect(wall.locator("main")).toHaveAttribute("data-moving", "no");
  const box = await inWindow.boundingBox();
  expect(box?.width).toBeLessThan(1_400);
  const before = await inWindow.evaluate((canvas) => (canvas as HTMLCanvasElement).toDataURL().length);
  expect(before).toBeGreaterThan(1_000);
  // Undone it goes back to where it was.
  await page.keyboard.press("u");
  await expect(inWindow).toBeHidden();
});

test("a camera of the screen's own machine is asked for in words, and shown", async ({ show }) => {
  const browser = await chromium.launch({
    executablePath: "/usr/bin/chromium",
    args: [...BROWSER_ARGS, "--use-fake-device-for-media-stream", "--use-fake-ui-for-media-stream"],
  });
  try {
    const context = await browser.newContext({ viewport: { width: 1_280, height: 800 } });
    const page = await context.newPage();
    await openDesk(page, show, "triggers");
    await page.getByTitle("Change “Room”").click();
    await page.getByLabel("Its picture here is").selectOption("camera");
    await page
      .getByRole("listitem")
      .filter({ hasText: "Room" })
      .getByRole("button", { name: "program" })
      .click();
    const link = show.outputLink(1);
    const stream = await context.newPage();
    await stream.goto(`${link}?over=picture`);
    await expect(output(stream)).toHaveAttribute("data-program", "room");
    const chooser = await context.newPage();
    await chooser.goto(link.replace("/out/", "/cameras/"));
    await chooser.getByRole("button", { name: "Look for cameras" }).click();
    const choice = chooser.getByLabel("“Room” is");
    await choice.selectOption({ index: 1 });
    const video = stream.locator("video[data-source=room]");
    await expect
      .poll(() => video.evaluate((element) => (element as HTMLVideoElement).videoWidth))
      .toBeGreaterThan(100);
    await choice.selectOption("");
    await expect.poll(() => video.evaluate((element) => (element as HTMLVideoElement).srcObject)).toBeNull();
  } finally {
    await browser.close();
  }
});
