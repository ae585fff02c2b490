import { describe, expect, test } from "vitest";
import { figuresAt, shareAt } from "../figures/figures.ts";
import { pausedForMs, readPaused } from "../figures/paused.ts";
import { canPause, isPaused, pauseLayer } from "./pauseCountdown.ts";
import { addMoment, EMPTY_SLOT, plainMoment, type Slot } from "./slot.ts";

const PAGE = { cueId: "c", content: "0".repeat(64), step: { occurrence: "page", unit: 0 } };
const came: Slot = addMoment(EMPTY_SLOT, { ...plainMoment(1_000, PAGE), endsAtMs: 61_000 });
const pause = (slot: Slot, isToPause: boolean, atMs: number): Slot =>
  pauseLayer({ slots: { words: slot }, overrides: {} }, "words", isToPause, atMs).slots.words ?? [];

describe("a countdown that is paused", () => {
  test("stands still, goes on from there, and its stay waits with it", () => {
    const paused = pause(came, true, 11_000);
    expect(isPaused(paused, 11_000)).toBe(true);
    expect(paused.at(-1)).toMatchObject({ endsAtMs: null, leftMs: 50_000 });
    const on = pause(paused, false, 31_000);
    expect(isPaused(on, 31_000)).toBe(false);
    expect(on.at(-1)).toMatchObject({
      endsAtMs: 81_000,
      leftMs: null,
      paused: [{ fromMs: 11_000, untilMs: 31_000 }],
    });
  });

  test("is paused once, and an empty layer not at all; holding twice changes nothing", () => {
    const paused = pause(came, true, 11_000);
    expect(canPause(paused, true, 12_000)).toBe(false);
    expect(pause(paused, true, 12_000)).toBe(paused);
    expect(canPause(came, false, 12_000)).toBe(false);
    expect(canPause(EMPTY_SLOT, true, 12_000)).toBe(false);
  });

  test("the next step of the same cue goes on with it; another cue begins anew", () => {
    const paused = pause(came, true, 11_000);
    expect(addMoment(paused, plainMoment(12_000, PAGE)).at(-1)?.paused).toHaveLength(1);
    expect(addMoment(paused, plainMoment(12_000, { ...PAGE, cueId: "d" })).at(-1)).not.toHaveProperty(
      "paused",
    );
  });

  test("says the same for as long as it is paused, and is late by that much afterwards; a ring too, a clock not", () => {
    const value = { kind: "countdown", to: "1 min", timeZone: "UTC", atZero: "hold" } as const;
    const spans = [{ fromMs: 10_500, untilMs: 30_500 }];
    const read = (atMs: number) => readPaused(value, spans, atMs, (ms) => figuresAt(value, 0, ms));
    expect([10_000, 10_500, 20_000, 30_499].map((ms) => read(ms).text)).toEqual([
      "0:50",
      "0:50",
      "0:50",
      "0:50",
    ]);
    // When it is known that it goes on, it is drawn again then; before that not at all.
    expect(read(20_000).changesAtMs).toBe(30_500);
    const open = readPaused(value, [{ fromMs: 10_500, untilMs: null }], 20_000, (ms) =>
      figuresAt(value, 0, ms),
    );
    expect(open).toEqual({ text: "0:50", changesAtMs: Number.POSITIVE_INFINITY });
    expect(read(31_000)).toEqual({ text: "0:49", changesAtMs: 32_000 });
    expect(read(80_001).text).toBe("0:00");
    const ring = readPaused(value, spans, 20_000, (ms) => shareAt(value, null, 0, ms, 100));
    expect(ring.share).toBeCloseTo(49.5 / 60, 6);
    const clock = { kind: "clock", format: "hms", timeZone: "UTC" } as const;
    expect(readPaused(clock, spans, 20_000, (ms) => figuresAt(clock, 0, ms)).text).toBe("00:00:20");
    expect(pausedForMs([{ fromMs: 10, untilMs: null }], 25)).toBe(15);
  });
});
