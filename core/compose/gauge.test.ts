import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import { box, gauge, move } from "../../test-support/designs.ts";
import { HD } from "../../test-support/pages.ts";
import { type Take, timelineOf } from "../../test-support/takes.ts";
import { pathBounds } from "../picture/pathData.ts";
import type { Picture } from "../picture/picture.ts";
import { type Placement, placementsAt } from "./placements.ts";
import { stillUntil } from "./stillUntil.ts";

const bench = prepareBench();
const FRAME = box(100, 100, 800, 200);
type Form = Parameters<typeof gauge>[3]["form"];

const pictureAt = (
  form: Form,
  shows: Parameters<typeof gauge>[1],
  values: Record<string, string>,
  fullAt: number | null = null,
) => {
  const object = gauge("g", shows, FRAME, { form, isRound: false, fullAt });
  const timeline = timelineOf(bench.shaper, [object], [{ atMs: 0, values }]);
  return (atMs: number) => {
    const [placed] = placementsAt(timeline, atMs, HD);
    if (placed?.kind !== "drawn") throw new Error(`${placed?.kind} is no gauge`);
    return placed as Extract<Placement, { kind: "drawn" }>;
  };
};

/** The bounds of what of it is full, in px of the output; undefined: nothing is. The track lies first. */
const fullOf = ({ picture, x, y }: { readonly picture: Picture; readonly x: number; readonly y: number }) => {
  const item = picture.items[1];
  if (item?.kind !== "path") return undefined;
  const { x: left, y: top, width, height } = pathBounds(item.data);
  return [left + x, top + y, width, height].map(Math.round);
};

const NUMBER = { kind: "number", field: "n" } as const;
const COUNTDOWN = { kind: "countdown", field: "to" } as const;
const bar = (towards: "right" | "left" | "up" | "down") => ({ kind: "bar", towards }) as const;

describe("gauges", () => {
  // Geometry: a quarter of a box of 800 × 200 at 100, 100.
  test.each([
    ["right", [100, 100, 200, 200]],
    ["left", [700, 100, 200, 200]],
    ["up", [100, 250, 800, 50]],
    ["down", [100, 100, 800, 50]],
  ] as const)("a number of 30 in 120 fills a quarter, towards the %s", (towards, expected) => {
    expect(fullOf(pictureAt(bar(towards), NUMBER, { n: "30" }, 120)(5_000))).toEqual(expected);
  });

  test("a sum of money that is collected for has room: 12 500 of 50 000", () => {
    expect(fullOf(pictureAt(bar("right"), NUMBER, { n: "12500" }, 50_000)(5_000))?.[2]).toBe(200);
  });

  test("a ring begins at the top and runs clockwise: at a quarter it is in the quarter at the upper right", () => {
    const ring = { kind: "ring", thicknessPx: 20 } as const;
    // The circle has the box's smaller side as its diameter: its middle is at 500, 200.
    expect(fullOf(pictureAt(ring, NUMBER, { n: "1" }, 4)(5_000))).toEqual([500, 100, 100, 100]);
    expect(fullOf(pictureAt({ ...ring, sweepDeg: -360 }, NUMBER, { n: "1" }, 4)(5_000))).toEqual([
      400, 100, 100, 100,
    ]);
  });

  test("of a countdown it is full when it begins, half at half time, and empty from zero on", () => {
    const at = pictureAt(bar("right"), COUNTDOWN, { to: "5 min" });
    expect([0, 75_000, 150_000, 299_000].map((ms) => fullOf(at(ms))?.[2])).toEqual([800, 600, 400, 3]);
    expect([300_000, 400_000].map((ms) => fullOf(at(ms)))).toEqual([undefined, undefined]);
  });

  test("one that is paused stands still, also while the next one takes its place, which was never paused", () => {
    const object = gauge("g", COUNTDOWN, FRAME, {
      ...{ form: bar("right"), isRound: false },
      motion: { enter: [], exit: [], change: { in: [], out: [move("opacity", 1, 0, 2_000)] } },
    });
    const timeline = timelineOf(
      bench.shaper,
      [object],
      [
        { atMs: 0, values: { to: "5 min" }, paused: [{ fromMs: 75_000, untilMs: null }] },
        { atMs: 200_000, values: { to: "10 min" } },
      ],
    );
    const widths = (atMs: number) =>
      placementsAt(timeline, atMs, HD).map((placed) => placed.kind === "drawn" && fullOf(placed)?.[2]);
    expect([widths(75_000), widths(199_000)]).toEqual([[600], [600]]);
    expect(widths(201_000)).toEqual([600, 799]);
    expect(widths(350_000)).toEqual([600]);
  });

  test("it is drawn again by itself when a pixel or so of it changes, and never while it is paused", () => {
    const object = gauge("g", COUNTDOWN, FRAME, { form: bar("right"), isRound: false });
    const next = (atMs: number, paused: Take["paused"] = []) =>
      stillUntil(timelineOf(bench.shaper, [object], [{ atMs: 0, values: { to: "5 min" }, paused }]), atMs);
    // 300 s over 4000 steps.
    expect((next(60_000) ?? 0) - 60_000).toBeCloseTo(75, 6);
    expect(next(60_000, [{ fromMs: 50_000, untilMs: null }])).toBe(Number.POSITIVE_INFINITY);
    expect(next(60_000, [{ fromMs: 50_000, untilMs: 70_000 }])).toBe(70_000);
    expect(next(400_000)).toBe(Number.POSITIVE_INFINITY);
  });

  test("the same picture is not made anew from frame to frame, and another is where it looks otherwise", () => {
    const at = pictureAt(bar("right"), COUNTDOWN, { to: "5 min" });
    expect(at(60_000).picture).toBe(at(60_016).picture);
    expect(fullOf(at(61_000))).not.toEqual(fullOf(at(60_000)));
  });
});
