import { expect, test } from "vitest";
import { FrameTally } from "./frameTally.ts";

const frame = (atMs: number, drawMs = 4, missed = 0) => ({ atMs, drawMs, missed });

test("the first frame with an event in it is told once, with its time", () => {
  const tally = new FrameTally();
  expect(tally.add(frame(100), 7)).toBe(true);
  expect(tally.add(frame(116), 7)).toBe(false);
  expect(tally.take()).toMatchObject({ seq: 7, atMs: 100 });
  expect(tally.add(frame(200), 8)).toBe(true);
  expect(tally.take()).toMatchObject({ seq: 8, atMs: 200 });
});

test("frames are counted from one report to the next; what is in the picture stays known", () => {
  const tally = new FrameTally();
  expect(tally.take()).toEqual({ seq: 0, atMs: 0, frames: 0, missed: 0, slowestMs: 0 });
  tally.add(frame(100, 5, 0), 1);
  tally.add(frame(133, 22, 1), 1);
  tally.add(frame(150, 6, 0), 1);
  expect(tally.take()).toEqual({ seq: 1, atMs: 100, frames: 3, missed: 1, slowestMs: 22 });
  expect(tally.take()).toEqual({ seq: 1, atMs: 100, frames: 0, missed: 0, slowestMs: 0 });
});
