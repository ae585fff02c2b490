import { describe, expect, test } from "vitest";
import { flappingInputs, type Heard, hear, NOTHING_HEARD, noticeLoss, settle } from "./settle.ts";

const on = (input: number, isOnProgram: boolean, isOnPreview = false) => ({
  ...{ input, isOnProgram, isOnPreview, label: "" },
});

/** A device that was there for a second already. */
function known(): Heard {
  let heard = hear(NOTHING_HEARD, [on(1, true), on(2, false)], 0);
  heard = settle(heard, 20).heard;
  return hear(heard, [], 1_000);
}

describe("what a mixer says", () => {
  test("two packets of one cut are one change", () => {
    let heard = hear(known(), [on(1, false)], 2_000);
    expect(settle(heard, 2_005).on).toBeNull();
    heard = hear(heard, [on(2, true)], 2_008);
    expect(settle(heard, 2_015)).toMatchObject({ on: { program: [2], preview: [] }, isQuiet: false });
  });

  test("what it says when it comes is how it is, and not what it does", () => {
    const heard = hear(NOTHING_HEARD, [on(3, true)], 50);
    expect(settle(heard, 70)).toMatchObject({ on: { program: [3] }, isQuiet: true });
  });

  test("a tally that flaps fifty times in a second counts as it was, until it is calm; others go on", () => {
    let heard = known();
    const changes: number[][] = [];
    const look = (atMs: number) => {
      const settled = settle(heard, atMs);
      heard = settled.heard;
      if (settled.on) changes.push([...settled.on.program]);
    };
    for (let i = 0; i < 150; i++) {
      const atMs = 2_000 + i * 20;
      heard = hear(heard, [on(2, i % 2 === 0)], atMs);
      look(atMs + 16);
    }
    expect(flappingInputs(heard, 5_000)).toEqual([2]);
    // Only what came before it was known to flap.
    expect(changes.length).toBeLessThanOrEqual(9);
    const before = changes.length;
    heard = hear(heard, [on(1, false), on(3, true)], 5_000);
    look(5_020);
    expect(changes.length).toBe(before + 1);
    expect(changes.at(-1)).toContain(3);
    look(5_600);
    expect(flappingInputs(heard, 6_100)).toEqual([]);
    expect(changes.at(-1)).toEqual([3]);
  });

  test("one that was heard regularly and is not any more is lost; what it said stays, and its return is quiet", () => {
    let heard = known();
    for (let atMs = 2_000; atMs <= 8_000; atMs += 1_000) heard = hear(heard, [on(1, true)], atMs);
    expect(noticeLoss(heard, 11_000).isLost).toBe(false);
    heard = noticeLoss(heard, 12_500);
    expect(heard.isLost).toBe(true);
    heard = hear(heard, [on(1, false), on(2, true)], 60_000);
    expect(heard.isLost).toBe(false);
    expect(settle(heard, 60_020)).toMatchObject({ on: { program: [2] }, isQuiet: true });
    heard = settle(heard, 60_020).heard;
    heard = hear(heard, [on(2, false)], 61_000);
    expect(settle(heard, 61_020).isQuiet).toBe(false);
  });

  test("one that only speaks when something changes is never lost", () => {
    expect(noticeLoss(known(), 3_600_000).isLost).toBe(false);
  });
});
