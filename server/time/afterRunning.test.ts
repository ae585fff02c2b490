import { expect, test } from "vitest";
import { afterRunning } from "./afterRunning.ts";

const turn = () => new Promise((resolve) => setImmediate(resolve));

/** Holds this thread, as a machine that stalls does. */
function standStill(ms: number): void {
  const untilMs = performance.now() + ms;
  while (performance.now() < untilMs);
}

test("a limit that passed while the server stood still is not over: what waited has its turn first", async () => {
  let isOver = false;
  afterRunning(60, () => {
    isOver = true;
  });
  standStill(150);
  // Fewer turns than the limit has slices: however slow they are, they do not make it up.
  for (let i = 0; i < 5; i++) await turn();
  expect(isOver).toBe(false);
  await expect.poll(() => isOver).toBe(true);
});

test("given up, it is not done", async () => {
  let isOver = false;
  const giveUp = afterRunning(12, () => {
    isOver = true;
  });
  giveUp();
  await new Promise((resolve) => afterRunning(48, () => resolve(undefined)));
  expect(isOver).toBe(false);
});
