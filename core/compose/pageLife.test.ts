import { expect, test } from "vitest";
import { FRAME_RATES, frameStartMs } from "../time/timecode.ts";
import { lifeFrames } from "./pageLife.ts";
import type { Timeline } from "./piece.ts";

const EMPTY: Timeline = { pieces: [] };

test.each(Object.entries(FRAME_RATES))("what never moves is painted once, at %s", (_name, rate) => {
  const frames = lifeFrames(EMPTY, 1_000, rate);
  expect(frames.map(({ isSame }) => isSame)).toEqual(frames.map((_, index) => index > 0));
  expect(frames.map(({ atMs }) => atMs)).toEqual(frames.map((_, index) => frameStartMs(index, rate)));
  // The first frame after it left is the last.
  expect(frames.at(-1)?.atMs).toBeGreaterThan(1_000);
  expect(frames.at(-2)?.atMs).toBeLessThanOrEqual(1_000);
});
