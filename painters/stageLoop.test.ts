import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import type { Timeline } from "../core/compose/piece.ts";
import type { Placement } from "../core/compose/placements.ts";
import { StageLoop } from "./stageLoop.ts";

/** A browser that draws 60 frames a second, and a clock that goes with them; it notes the frames in which it was asked to draw. */
let nowMs = 0;
let waiting: (() => void)[] = [];
let timers = new Map<number, { readonly dueMs: number; readonly fire: () => void }>();
let askedFrames = 0;
function drawFrames(count: number): void {
  for (let i = 0; i < count; i++) {
    nowMs += 1_000 / 60;
    for (const [id, { dueMs, fire }] of [...timers])
      if (dueMs <= nowMs) {
        timers.delete(id);
        fire();
      }
    const due = waiting;
    waiting = [];
    if (due.length > 0) askedFrames++;
    for (const draw of due) draw();
  }
}

beforeEach(() => {
  nowMs = 1_000_000;
  waiting = [];
  timers = new Map();
  askedFrames = 0;
  let timerId = 0;
  vi.stubGlobal("setTimeout", (fire: () => void, ms: number) => {
    timers.set(++timerId, { dueMs: nowMs + ms, fire });
    return timerId;
  });
  vi.stubGlobal("clearTimeout", (id: number) => timers.delete(id));
  vi.stubGlobal("requestAnimationFrame", (draw: () => void) => waiting.push(draw));
  vi.stubGlobal("cancelAnimationFrame", () => {});
});
afterEach(() => {
  vi.unstubAllGlobals();
});

/** Moves for as long as anybody looks. */
const MOVING: Timeline = {
  pieces: [
    {
      id: "moves",
      key: "moves",
      opacity: 1,
      rotationDeg: 0,
      life: {
        fromMs: 0,
        arriving: [
          {
            property: "opacity",
            keyframes: [
              { atMs: 0, value: 0, easing: "linear" },
              { atMs: 10_000_000, value: 1, easing: "linear" },
            ],
          },
        ],
        stay: null,
        until: null,
      },
      pivot: { x: 0, y: 0 },
      looks: { blurPx: 0, tint: null, color: null },
      places: [{ fromMs: 0, x: 0, y: 0, extent: 1, glideMs: 0 }],
      content: {
        kind: "group",
        pieces: [],
        blend: "normal",
        clip: null,
        rect: { x: 0, y: 0, width: 0, height: 0 },
      },
    },
  ],
};

function run(frameMs: number | null) {
  const atMs: number[] = [];
  const stage = { draw: (_: readonly Placement[]) => {}, discard: () => {} };
  const size = { widthPx: 10, heightPx: 10 };
  const loop = new StageLoop(
    stage as unknown as ConstructorParameters<typeof StageLoop>[0],
    size,
    () => nowMs,
    (report) => void atMs.push(report.atMs),
    { clockMs: frameMs, perSecond: frameMs === null ? 60 : 1_000 / frameMs },
  );
  loop.setTimeline(MOVING);
  drawFrames(121);
  loop.stop();
  return atMs;
}

describe("frames of an output's own rate", () => {
  test.each([
    ["24", 1_000 / 24, 48],
    ["25", 40, 50],
    ["29.97", 1_001 / 30, 60],
    ["50", 20, 100],
  ])("at %s a second, two seconds have as many, each on the clock's own raster", (_name, frameMs, count) => {
    const atMs = run(frameMs);
    expect(Math.abs(atMs.length - count)).toBeLessThanOrEqual(1);
    for (const at of atMs) expect(Math.abs(at / frameMs - Math.round(at / frameMs))).toBeLessThan(1e-6);
    for (const [i, at] of atMs.entries()) if (i > 0) expect(at).toBeGreaterThan(atMs[i - 1] as number);
  });

  test("at 60, every frame that the window draws", () => {
    expect(run(null)).toHaveLength(121);
  });

  test("slowed while it moves, it draws fewer frames at once, and as many as before when it is not any more", () => {
    const atMs: number[] = [];
    const stage = { draw: (_: readonly Placement[]) => {}, discard: () => {} };
    const loop = new StageLoop(
      stage as unknown as ConstructorParameters<typeof StageLoop>[0],
      { widthPx: 10, heightPx: 10 },
      () => nowMs,
      (report) => void atMs.push(report.atMs),
    );
    loop.setTimeline(MOVING);
    drawFrames(60);
    expect(atMs.length).toBe(60);
    loop.setPace({ clockMs: 50, perSecond: 20 });
    drawFrames(60);
    expect(Math.abs(atMs.length - 80)).toBeLessThanOrEqual(2);
    loop.setPace({ clockMs: null, perSecond: 60 });
    drawFrames(60);
    expect(Math.abs(atMs.length - 140)).toBeLessThanOrEqual(3);
    loop.stop();
  });

  test("a picture of the desk sleeps between its frames, and two of them draw in the same ones", () => {
    const frameMs = 1_000 / 15;
    const one = run(frameMs);
    expect(Math.abs(one.length - 30)).toBeLessThanOrEqual(1);
    // The browser is asked for the frame itself and now and then for one before it, not for all four.
    expect(askedFrames).toBeLessThanOrEqual(one.length * 2);
    nowMs = 1_000_000 + 37;
    const other = run(frameMs);
    expect(one.filter((at) => other.includes(at)).length).toBeGreaterThan(25);
  });
});
