import { stepsOf } from "../core/rundown/steps.ts";
import { ShowModel } from "./support/model.ts";
import { LAYER_ROUNDING, largestDifference, shoot } from "./support/pixels.ts";
import {
  chooseCue,
  expect,
  goTo,
  marked,
  openDesk,
  output,
  seqOf,
  settled,
  takeSteps,
  test,
} from "./support/show.ts";

// Windows half as wide: they are compared with one another only, and cost a quarter.
test.use({ outputWindow: { width: 960, height: 540 } });

test("the whole demo evening by keyboard alone: every step comes once, in order, on every screen @long", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const screens = [await openOutput(show, 0), await openOutput(show, 1)];
  const model = await ShowModel.listen(page, show.base);
  const wanted = model
    .ready()
    .flatMap(({ cueId, content }) =>
      stepsOf(content).map(({ anchor }) => `${cueId}/${anchor.occurrence}:${anchor.unit}`),
    );
  expect(wanted.length).toBeGreaterThan(60);
  for (let presses = 0; presses <= wanted.length && model.next(); presses++) {
    const before = model.state.seq;
    await page.keyboard.press("Space");
    await expect.poll(() => model.state.seq, { message: `press ${presses + 1}` }).toBeGreaterThan(before);
    for (const screen of screens)
      await expect.poll(() => seqOf(screen)).toBeGreaterThanOrEqual(model.state.seq);
  }
  const taken = model.events.flatMap((event) =>
    event.kind === "taken" || event.kind === "acted"
      ? [`${event.target.cueId}/${event.target.step.occurrence}:${event.target.step.unit}`]
      : [],
  );
  expect(taken).toEqual(wanted);
  await page.keyboard.press("Space");
  await expect(page.getByText("That was the last step of the rundown")).toBeVisible();
  await expect.poll(() => marked(page, "next")).toEqual([]);
  model.close();
});

test("a stuck key: held down it takes once; chattering, what is on air is the last take of the log @long", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  const model = await ShowModel.listen(page, show.base);
  await page.keyboard.down("Space");
  for (let i = 0; i < 100; i++) await page.keyboard.down("Space");
  await page.keyboard.up("Space");
  await settled(wall, 2);
  expect(model.state.seq).toBe(2);
  // Five hundred presses in ten seconds, backwards and forwards, so that the evening does not end before.
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        let presses = 0;
        const timer = setInterval(() => {
          const key = presses % 2 === 0 ? "Backspace" : " ";
          for (const kind of ["keydown", "keyup"])
            document.body.dispatchEvent(new KeyboardEvent(kind, { key, bubbles: true, cancelable: true }));
          if (++presses === 500) {
            clearInterval(timer);
            resolve();
          }
        }, 20);
      }),
  );
  await expect(page.getByRole("button", { name: /^Take (next|armed)/ })).toBeEnabled();
  await expect.poll(async () => (await seqOf(wall)) === model.state.seq).toBe(true);
  const takes = model.events.filter((event) => event.kind === "taken");
  expect(takes.length).toBeGreaterThan(10);
  expect(takes.length).toBeLessThanOrEqual(251);
  expect(new Set(takes.map(({ takeId }) => takeId)).size).toBe(takes.length);
  const last = takes.at(-1);
  expect(model.state.line.at).toMatchObject({ cueId: last?.target.cueId, step: last?.target.step });
  const step = `${last?.target.cueId}/${last?.target.step.occurrence}:${last?.target.step.unit}`;
  await expect(page.locator(`[data-mark=air][data-step="${step}"]`)).toHaveCount(1);
  await expect(output(wall)).toHaveAttribute("data-moving", "no");
  const fresh = await openOutput(show, 0);
  await settled(fresh, model.state.seq);
  expect(largestDifference(await shoot(wall), await shoot(fresh))).toBeLessThanOrEqual(LAYER_ROUNDING);
  model.close();
});

test("an evening is taken for another day, emptied of what is of the day, and opened; the screens keep theirs", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeSteps(page, wall, 3);
  const picture = await shoot(wall);
  await page.getByRole("link", { name: /^Lantern Evening/ }).click();
  await page.getByRole("button", { name: "Duplicate" }).click();
  await page.getByLabel("Name", { exact: true }).fill("The week after");
  await page.getByRole("checkbox", { name: "Ilse Tarrow name strap" }).check();
  await page.getByRole("button", { name: "Readings" }).click();
  await expect(page.getByText(/^Emptied: 3 of/)).toBeVisible();
  await page.getByRole("button", { name: "Make it" }).click();
  const made = page.getByRole("listitem", { name: "The week after" });
  await made.getByRole("button", { name: "Open", exact: true }).click();
  await expect(made.getByText("The script changes on every desk")).toBeVisible();
  await made.getByRole("button", { name: "Open it all the same" }).click();
  await expect(made.getByText("Open now")).toBeVisible();
  await expect(page.getByRole("link", { name: /^The week after/ })).toBeVisible();

  await goTo(page, "Run");
  await expect.poll(async () => (await marked(page, "next")).join()).toContain("Night harbour");
  const script = page.getByRole("main", { name: "Script" });
  await expect(script.getByText("Ilse Tarrow", { exact: true })).toHaveCount(0);
  await expect(script.getByText("Carry the Lamp Down").first()).toBeVisible();
  expect(largestDifference(await shoot(wall), picture)).toBeLessThanOrEqual(LAYER_ROUNDING);
  // What is on air and no longer in the rundown can be taken out.
  await takeSteps(page, wall, 1);
  const seq = await seqOf(wall);
  await page.keyboard.press("3");
  await settled(wall, seq + 1);
});

test("a page stands elsewhere and in another size, and takes as long to arrive as its layer says @long", async ({
  page,
  show,
  openOutput,
}) => {
  await openDesk(page, show);
  const wall = await openOutput(show, 0);
  await takeSteps(page, wall, 3);
  const picture = await shoot(wall);
  await goTo(page, "Prepare");
  await chooseCue(page, "cue-0003");
  await page.getByLabel("The whole page, down, %").fill("-30");
  await page.getByLabel("The whole page, size, %").fill("150");
  await page.keyboard.press("Enter");
  await expect(page.getByText("edits are held")).toBeVisible();
  const held = await seqOf(wall);
  await goTo(page, "Run");
  await expect(page.locator("[data-mark=air]", { hasText: "Lantern Evening" })).toContainText("○ held");
  await expect(page.getByRole("article").first()).toContainText("○ held");
  await page.keyboard.press("s");
  await settled(wall, held + 1);
  await expect(page.getByText("○ held")).toHaveCount(0);
  expect(largestDifference(await shoot(wall), picture)).toBeGreaterThan(100);
  await goTo(page, "Prepare");
  await page.getByRole("button", { name: "put back" }).click();
  await expect(page.getByText("edits are held")).toBeVisible();
  await page.keyboard.press("Control+Shift+KeyS");
  await settled(wall, held + 2);
  expect(largestDifference(await shoot(wall), picture)).toBeLessThanOrEqual(LAYER_ROUNDING);

  await goTo(page, "Run");
  await page.getByRole("button", { name: "Settings of Titles" }).click();
  await page.getByLabel("Time pages take to arrive on Titles, s").fill("4");
  await page.keyboard.press("Enter");
  await settled(wall, held + 3);
  await page.keyboard.press("Escape");
  const from = Date.now();
  await page.getByRole("main", { name: "Script" }).focus();
  await page.keyboard.press("Space");
  await settled(wall, held + 4);
  expect(Date.now() - from).toBeGreaterThan(3_900);
});
