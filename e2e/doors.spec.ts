import { statSync } from "node:fs";
import { RunningShow } from "./support/runningShow.ts";
import { expect, openDesk, test } from "./support/show.ts";

/** Bound to another address of the loopback, the server takes every browser for one on another machine. */
const elsewhere = () => new RunningShow(true, { args: ["--host", "127.0.0.2"] });
const deskLink = (show: RunningShow) =>
  /Desk from another machine\s+(\S+)/.exec(show.printed)?.[1] ?? "no desk link was printed";

test("from another machine the desk opens by its link alone, and whoever was let in can be shown out by name", async ({
  page,
  browser,
}) => {
  const show = elsewhere();
  await show.start();
  expect((await page.goto(`${show.base}/run`))?.status()).toBe(403);
  await expect(page.getByText(/The desk opens on the machine it runs on/)).toBeVisible();
  await expect(page.getByRole("link", { name: "Enter with the passcode" })).toBeVisible();
  // The answer to a question by HEAD lets nobody in.
  expect((await page.request.head(deskLink(show))).headers()["set-cookie"]).toBeUndefined();

  await page.goto(deskLink(show));
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
  const [cookie] = await page.context().cookies();
  expect(cookie).toMatchObject({ name: "vesko_desk", httpOnly: true, sameSite: "Strict" });
  // What was let in does not see the link it could come back with.
  expect(await page.content()).not.toContain(deskLink(show).split("/").at(-1));

  const second = await (await browser.newContext()).newPage();
  await second.goto(deskLink(show));
  await openDesk(second, show, "screens");
  const letIn = second.getByRole("list", { name: "Browsers that were let in" });
  await expect(letIn.getByRole("listitem")).toHaveCount(2);
  await expect(letIn.getByText(/Chrom\w+ on Linux/).first()).toBeVisible();
  await letIn
    .getByRole("listitem")
    .filter({ hasNotText: "this one" })
    .getByRole("button", { name: /Show out/ })
    .click();
  await expect(letIn.getByRole("listitem")).toHaveCount(1);
  // The page that is open there is told at once, and opens no more.
  await expect(page.getByText("link refused")).toBeVisible();
  expect((await page.goto(`${show.base}/run`))?.status()).toBe(403);

  await second.getByLabel("A passcode, six characters or more").fill("lamp-quay-7");
  await second.getByRole("button", { name: "Set", exact: true }).click();
  await expect(second.getByText("The passcode is set.")).toBeVisible();
  await page.goto(`${show.base}/enter`);
  await page.getByLabel("The venue’s passcode").fill("wrong-one");
  await page.getByRole("button", { name: "Open" }).click();
  await expect(page.getByText("That is not the passcode.")).toBeVisible();
  await page.getByLabel("The venue’s passcode").fill("lamp-quay-7");
  await page.getByRole("button", { name: "Open" }).click();
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
  // Another passcode shows out all but the one who set it.
  await second.getByLabel("Another passcode").fill("lamp-quay-8");
  await second.getByRole("button", { name: "Set", exact: true }).click();
  await expect(page.getByText("link refused")).toBeVisible();
  await expect(second.getByText("connected", { exact: true })).toBeVisible();
  await show.stop();
});

test("what the show keeps is for its own user alone", async ({ show }) => {
  const rights = (name: string) => (statSync(name).mode & 0o777).toString(8);
  expect(rights(show.databaseFile)).toBe("600");
  expect(rights(`${show.databaseFile}-wal`)).toBe("600");
  expect(rights(`${show.databaseFile}.media`)).toBe("700");
  expect(rights(`${show.databaseFile}.backups`)).toBe("700");
});

test("no page carries a script that its own answer does not name, and none is framed but by choice", async ({
  page,
  show,
}) => {
  const problems: string[] = [];
  page.on("console", (message) => {
    if (message.type() === "error") problems.push(message.text());
  });
  const policyOf = async (path: string) => {
    const answer = await page.goto(show.base + path);
    return (await answer?.allHeaders())?.["content-security-policy"] ?? "";
  };
  const desk = await policyOf("/run");
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
  expect(desk).toMatch(/script-src 'self' 'wasm-unsafe-eval' 'nonce-[\w+/=]+'/);
  expect(desk).not.toMatch(/script-src[^;]*unsafe-inline/);
  expect(desk).toContain(`connect-src 'self' ws://${new URL(show.base).host};`);
  expect(desk).toContain("frame-ancestors 'none'");
  expect(desk).toContain("form-action 'self'");
  expect(await policyOf("/run")).not.toBe(desk);
  await expect(page.getByText("connected", { exact: true })).toBeVisible();
  expect(await policyOf(new URL(show.outputLink(0)).pathname)).toContain("frame-ancestors *");
  await expect(page.locator("main")).toHaveAttribute("data-ready", "yes");
  expect(await policyOf("/enter")).toContain("frame-ancestors 'none'");
  expect(problems).toEqual([]);
});
