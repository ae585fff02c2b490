import { showsAnything } from "../core/show/layers.ts";
import { mulberry } from "../test-support/random.ts";
import { ShowModel } from "./support/model.ts";
import { brightness, LAYER_ROUNDING, largestDifference, shoot } from "./support/pixels.ts";
import { expect, openDesk, output, settled, test } from "./support/show.ts";

// Windows half as wide: they are compared with one another only, and cost a quarter.
test.use({ outputWindow: { width: 960, height: 540 } });

/** Keys an operator presses, as often as they stand here. */
const KEYS = [
  ..."Space Space Space Space Space Space".split(" "),
  ..."ArrowDown ArrowDown ArrowUp ArrowRight ArrowLeft Home".split(" "),
  ..."x d o u u r Backspace PageDown".split(" "),
  ..."3 4 Shift+Digit1 Shift+Digit2 Alt+Digit2".split(" "),
];
const SEED = Number(process.env.MODEL_SEED ?? 2026);
/** More, and from other seeds, when asked: MODEL_PRESSES=400 MODEL_SEED=7 npx playwright test model. */
const PRESSES = Number(process.env.MODEL_PRESSES ?? 40);
/** Every so many presses the pixels of a window that was there are compared with one opened just now. */
const LOOK_EVERY = 10;

test(`seed ${SEED}: whatever an operator presses, the screens show what the core says @long`, async ({
  page,
  show,
  openOutput,
}) => {
  test.setTimeout(120_000 + PRESSES * 3_000);
  await openDesk(page, show);
  const screens = [await openOutput(show, 0), await openOutput(show, 1)];
  const model = await ShowModel.listen(page, show.base);
  const random = mulberry(SEED);
  for (let presses = 1; presses <= PRESSES; presses++) {
    const key = KEYS[Math.floor(random() * KEYS.length)] as string;
    await page.keyboard.press(key);
    await expect(page.getByRole("button", { name: /^Take (next|armed)/ })).toBeVisible();
    // What was pressed is through once the desk waits for nothing and the model has heard as much as the screens.
    await expect
      .poll(
        async () => {
          const { seq } = model.state;
          const shown = await Promise.all(screens.map((screen) => output(screen).getAttribute("data-seq")));
          return shown.every((each) => each === String(seq));
        },
        { message: `after press ${presses}, ${key}` },
      )
      .toBe(true);
    const { state } = model;
    // The mark of next in the script is what the core computes.
    const mark = page
      .locator("[data-mark=next]")
      .or(page.locator("[data-mark=air]", { hasText: "NEXT" }))
      .first();
    const ofModel = () => {
      const next = model.next();
      return next && `${next.cueId}/${next.step.occurrence}:${next.step.unit}`;
    };
    // A press may come to the model after it was looked at: both are read anew until they agree.
    await expect
      .poll(async () => ofModel() === undefined || (await mark.getAttribute("data-step")) === ofModel(), {
        message: `next after press ${presses}, ${key}`,
      })
      .toBe(true);
    if (presses % LOOK_EVERY === 0) {
      for (const [at, id] of (["wall", "stream"] as const).entries()) {
        const screen = screens[at] as (typeof screens)[number];
        await settled(screen, state.seq);
        const fresh = await openOutput(show, at);
        await settled(fresh, state.seq);
        // A stay may end between the two pictures: then they are taken again.
        await expect
          .poll(async () => largestDifference(await shoot(screen), await shoot(fresh)), {
            message: `${id} after press ${presses}, ${key}`,
          })
          .toBeLessThanOrEqual(LAYER_ROUNDING);
        const layerIds = state.plan.outputs[id]?.layerIds ?? [];
        const isDark = brightness(await shoot(fresh)) === 0;
        if (!showsAnything(state, id, layerIds, Date.now())) expect(isDark, `${id}, ${key}`).toBe(true);
        await fresh.close();
      }
    }
  }
  // It was an evening, not one cue.
  expect(Object.keys(model.state.cueTimes).length).toBeGreaterThan(2);
  model.close();
});
