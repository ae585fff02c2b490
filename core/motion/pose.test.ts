import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { fading, move, rising, sliding, springing, uncovering } from "../../test-support/designs.ts";
import { type Life, lifePoseAt, movingSpans, poseAt, REST } from "./pose.ts";
import { durationOf, MOVING_PROPERTIES, type Track, trackAt, trackSchema } from "./track.ts";

const MOVES = [
  fading(600),
  rising(30, 500, 120),
  uncovering(460, 80),
  sliding("bottom", 60, 420),
  springing(700),
];

describe("motion", () => {
  test("every ready-made move ends exactly at rest", () => {
    for (const { enter, change } of MOVES) {
      expect(poseAt(enter, durationOf(enter))).toEqual(REST);
      expect(poseAt(change.in, durationOf(change.in))).toEqual(REST);
    }
  });

  test("a mirrored exit is the entrance backwards, easing included", () => {
    const { enter } = uncovering(460, 80);
    const T = durationOf(enter);
    const life: Life = {
      fromMs: 0,
      arriving: enter,
      stay: null,
      until: { atMs: 5_000, leaving: { kind: "mirror", tracks: enter, lengthMs: T } },
    };
    for (let t = 0; t < T; t += 7) expect(lifePoseAt(life, 5_000 + t)).toEqual(poseAt(enter, T - t));
  });

  test("seed 7: leaving in the middle of arriving begins where the part is, without a jump", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MOVES),
        fc.integer({ min: 1, max: 700 }),
        fc.boolean(),
        (motion, breakAt, isChange) => {
          const leaving = isChange
            ? { kind: "tracks" as const, tracks: motion.change.out, lengthMs: durationOf(motion.change.out) }
            : { kind: "mirror" as const, tracks: motion.enter, lengthMs: durationOf(motion.enter) };
          const life: Life = {
            fromMs: 0,
            arriving: motion.enter,
            stay: null,
            until: { atMs: breakAt, leaving },
          };
          const before = lifePoseAt(life, breakAt - 0.001);
          const after = lifePoseAt(life, breakAt);
          if (!before || !after) throw new Error("gone at the moment it begins to leave");
          for (const property of MOVING_PROPERTIES) expect(after[property]).toBeCloseTo(before[property], 1);
          expect(lifePoseAt(life, breakAt + 10_000)).toBeUndefined();
        },
      ),
      { seed: 7 },
    );
  });

  test("is a pure function of time, asked in any order", () => {
    const life: Life = { fromMs: 100, arriving: rising(30, 500).enter, stay: null, until: null };
    const times = [700, 100, 350, 99, 350, 10_000];
    const asked = times.map((t) => lifePoseAt(life, t));
    expect([...times].reverse().map((t) => lifePoseAt(life, t))).toEqual([...asked].reverse());
    expect(asked[3]).toBeUndefined();
    expect(asked[5]).toEqual(REST);
  });

  test("a loop goes on top of where the part stands, and is let go of without a jump when it leaves", () => {
    const stay = { fromMs: 500, periodMs: 1_000, tracks: [move("rotationDeg", 0, 90, 1_000, 0, "linear")] };
    const enter = fading(400).enter;
    const life: Life = {
      fromMs: 0,
      arriving: enter,
      stay,
      until: { atMs: 3_250, leaving: { kind: "mirror", tracks: enter, lengthMs: 400 } },
    };
    expect(lifePoseAt(life, 499)?.rotationDeg).toBe(0);
    expect(lifePoseAt(life, 1_000)?.rotationDeg).toBeCloseTo(45, 6);
    expect(lifePoseAt(life, 2_000)?.rotationDeg).toBeCloseTo(45, 6);
    expect(lifePoseAt(life, 3_250)?.rotationDeg).toBeCloseTo(67.5, 6);
    expect(lifePoseAt(life, 3_450)?.rotationDeg).toBeLessThan(67.5);
    expect(lifePoseAt(life, 3_649)?.rotationDeg).toBeLessThan(0.1);
    expect(lifePoseAt(life, 3_650)).toBeUndefined();
  });

  test("spans of motion hold every change", () => {
    const motion = rising(30, 500, 120);
    const life: Life = {
      fromMs: 1_000,
      arriving: motion.enter,
      stay: null,
      until: {
        atMs: 3_000,
        leaving: { kind: "mirror", tracks: motion.enter, lengthMs: durationOf(motion.enter) },
      },
    };
    const spans = movingSpans(life);
    for (let t = 900; t < 4_500; t += 10) {
      const inside = spans.some(([from, to]) => from <= t && t <= to);
      if (!inside) expect(lifePoseAt(life, t)).toEqual(lifePoseAt(life, t + 5));
    }
  });

  test("keyframes out of order are refused, and values before and after are held", () => {
    const keys = [
      { atMs: 100, value: 5, easing: "linear" },
      { atMs: 50, value: 1, easing: "linear" },
    ];
    expect(trackSchema.safeParse({ property: "opacity", keyframes: keys }).success).toBe(false);
    const track = trackSchema.parse({
      property: "scale",
      keyframes: [
        { atMs: 50, value: 1, easing: "ease-out" },
        { atMs: 150, value: 3, easing: "linear" },
      ],
    }) as Track;
    expect(trackAt(track, 0)).toBe(1);
    expect(trackAt(track, 50)).toBe(1);
    expect(trackAt(track, 150)).toBe(3);
    expect(trackAt(track, 900)).toBe(3);
  });
});
