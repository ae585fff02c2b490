import { describe, expect, test } from "vitest";
import { REST } from "../../motion/pose.ts";
import { trackAt, trackSchema } from "../../motion/track.ts";
import { STILL } from "../../scene/motion.ts";
import { type MoveWish, READY_MOVES, SETTLE, SIDES, tracksOf, wishOf, withEnter } from "./moves.ts";

const WISH: MoveWish = { move: "slide", from: "left", durationMs: 400, delayMs: 100, easing: SETTLE };

describe("ready moves", () => {
  test.each(READY_MOVES.flatMap((move) => SIDES.map((from) => [move, from] as const)))(
    "a %s from the %s is wholly there when it ends, and is known again",
    (move, from) => {
      const wish = { ...WISH, move, from };
      const tracks = tracksOf(wish);
      for (const one of tracks) {
        expect(trackSchema.parse(one)).toEqual(one);
        expect(trackAt(one, 500)).toBe(REST[one.property]);
        expect(trackAt(one, 0)).not.toBe(REST[one.property]);
      }
      // Of what has no side, any is as good.
      expect(tracksOf(wishOf(tracks) as MoveWish)).toEqual(tracks);
    },
  );

  test("what was set by hand is none of them", () => {
    expect(wishOf([])).toBeUndefined();
    const [first] = tracksOf(WISH);
    if (!first) return;
    expect(wishOf([{ ...first, property: "rotationDeg" }])).toBeUndefined();
  });

  test("a blur has something to blur by", () => {
    expect(withEnter(STILL, { ...WISH, move: "blur" }).blurPx).toBe(24);
    expect(withEnter({ ...STILL, blurPx: 9 }, { ...WISH, move: "blur" }).blurPx).toBe(9);
  });
});
