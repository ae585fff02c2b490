import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import type BetterSqlite from "better-sqlite3";
import { largestDifference, shoot } from "./support/pixels.ts";
import {
  anotherDesk,
  chooseCue,
  expect,
  marked,
  openDesk,
  output,
  seqOf,
  settled,
  takeSteps,
  takeToSong,
  test,
} from "./support/show.ts";

// Windows half as wide: they are compared with one another only, and cost a quarter.
test.use({ outputWindow: { width: 960, height: 540 } });

test("the server is killed in mid-show: outputs stay, and it comes back to the same air with nothing lost", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const stream = await openOutput(show, 1);
  // The title, which stays until it is taken out, in the middle of its motion.
  await takeSteps(page, wall, 2);
  const seq = await seqOf(wall);
  await page.keyboard.press("Space");
  for (const screen of [wall, stream]) await expect(output(screen)).toHaveAttribute("data-seq", `${seq + 1}`);
  await show.kill();
  for (const screen of [wall, stream]) {
    await expect(output(screen)).toHaveAttribute("data-connection", "lost");
    await settled(screen, seq + 1);
  }
  await expect(page.getByText(/server lost/)).toBeVisible();
  const during = await shoot(wall);
  const streamDuring = await shoot(stream);
  // Keys do nothing but say so.
  await page.keyboard.press("Space");
  await expect(page.getByText(/no connection to the server/)).toBeVisible();

  await show.start();
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
  for (const screen of [wall, stream]) {
    await expect(output(screen)).toHaveAttribute("data-connection", "open");
    await settled(screen, seq + 1);
  }
  expect(largestDifference(await shoot(wall), during)).toBe(0);
  expect(largestDifference(await shoot(stream), streamDuring)).toBe(0);
  await expect.poll(async () => (await marked(page, "next"))[0]).toContain("Ilse Tarrow");
  // The press made while it was gone is not played out after all.
  await takeSteps(page, wall, 1);
  await expect.poll(async () => (await marked(page, "air")).join()).toContain("Ilse Tarrow");
  // A desk that was not there before finds the same.
  await page.reload();
  await expect(page.locator("[data-mark=air]", { hasText: "Lantern Evening" })).toBeVisible();
});

test("a screen that is opened while the server begins shows the air by itself", async ({ page, show }) => {
  const link = show.outputLink(0);
  await show.kill();
  const begun = show.start();
  const answer = () =>
    page.goto(link).then(
      (response) => response?.status(),
      () => "nobody is there",
    );
  await expect.poll(answer, { intervals: [20] }).not.toBe("nobody is there");
  await expect(output(page)).toHaveAttribute("data-ready", "yes");
  await begun;
});

test("takes acknowledged while the server is killed at any moment are on the disk", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  for (let round = 0; round < 3; round++) {
    await page.keyboard.press("Space");
    await page.keyboard.press("Space");
    await expect.poll(() => seqOf(wall)).toBeGreaterThan(round * 2 + 1);
    await show.kill();
    const told = await seqOf(wall);
    const Database = createRequire(import.meta.url)("better-sqlite3") as typeof BetterSqlite;
    const database = new Database(show.databaseFile);
    const { last } = database.prepare("select max(seq) as last from air_event").get() as { last: number };
    database.close();
    expect(last).toBeGreaterThanOrEqual(told);
    await show.start();
    await expect(page.getByText("connected", { exact: true })).toBeVisible();
    await expect(output(wall)).toHaveAttribute("data-connection", "open");
    await expect.poll(() => seqOf(wall)).toBe(last);
  }
});

test("a cue edited while it is on air leaves the air alone and is marked", async ({
  page,
  show,
  openOutput,
  browser,
}) => {
  await openDesk(page, show);
  const stream = await openOutput(show, 1);
  await takeToSong(page, stream);
  const before = await shoot(stream);
  const other = await anotherDesk(browser, show, "prepare");
  await chooseCue(other, "cue-0005");
  await other
    .getByRole("textbox", { name: "Words", exact: true })
    .fill("Verse 1\nQuite other words\nthan those before");
  await expect(page.getByRole("button", { name: "send", exact: true })).toBeVisible();
  expect(largestDifference(await shoot(stream), before)).toBe(0);
  await other.context().close();
});

test("a port in use is told in a sentence", async ({ show }) => {
  const { spawnSync } = await import("node:child_process");
  const port = new URL(show.base).port;
  const { stderr, status } = spawnSync(
    process.execPath,
    ["build/server/main.js", "--db", `${show.databaseFile}-2`, "--port", port],
    {
      encoding: "utf8",
    },
  );
  expect(status).toBe(2);
  expect(stderr).toContain(`Port ${port} on 127.0.0.1 is in use`);
  expect(stderr).not.toContain("    at ");
  expect(readFileSync(show.databaseFile).length).toBeGreaterThan(0);
});
