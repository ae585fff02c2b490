import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import {
  bars,
  box,
  crawl,
  fading,
  figures,
  group,
  move,
  program,
  rectangle,
  rising,
  sliding,
  solid,
  springing,
  squeezing,
  staggered,
  table,
  text,
  uncovering,
  video,
} from "../../test-support/designs.ts";
import { flat, HD } from "../../test-support/pages.ts";
import { type Take, timelineOf as timelineOn } from "../../test-support/takes.ts";
import { leavingPoseAt, poseAt } from "../motion/pose.ts";
import { NO_ADJUSTMENT } from "../scene/adjustment.ts";
import { STILL } from "../scene/motion.ts";
import type { SceneObject } from "../scene/objectKinds.ts";
import { GLIDE_MS, placeAt } from "./glide.ts";
import { DISSOLVE_MS } from "./partLife.ts";
import type { Piece, Timeline } from "./piece.ts";
import { type Placement, placementsAt } from "./placements.ts";
import { settledUntil, stillUntil } from "./stillUntil.ts";

const bench = prepareBench();
const timelineOf = (objects: SceneObject[], takes: readonly Take[]): Timeline =>
  timelineOn(bench.shaper, objects, takes);

const at = (timeline: Timeline, ms: number): Placement[] => placementsAt(timeline, ms, HD);
const plates = (timeline: Timeline, ms: number) => flat(at(timeline, ms)).filter((p) => p.kind === "plate");
const find = (timeline: Timeline, ms: number, name: string) =>
  plates(timeline, ms).find(({ id }) => id.includes(`/${name}/`));
const bar = (id: string, motion = fading(400), more = {}) =>
  rectangle(id, box(100, 100, 600, 100), solid("accent"), { motion, ...more });
const words = (more = {}) => text("words", "w", box(100, 300, 900, 200), { min: 20, max: 80 }, more);

describe("a page in time", () => {
  test("seed 31: a mirrored exit is the arrival of the whole page backwards", () => {
    const objects = [
      bar("a", uncovering(300)),
      bar("b", sliding("left", 80, 500, 250)),
      bar("c", springing(700, 100)),
    ];
    // Springing leaves by tracks of its own; the others mirror the page's arrival, 750 ms.
    const mirrored = objects.slice(0, 2);
    const timeline = timelineOf(mirrored, [
      { atMs: 0, values: {} },
      { atMs: 5_000, values: null },
    ]);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 749 }), (t) => {
        for (const name of ["a", "b"])
          expect(find(timeline, 5_000 + t, name)?.pose).toEqual(find(timeline, 750 - t, name)?.pose);
      }),
      { seed: 31 },
    );
    expect(plates(timeline, 5_750)).toEqual([]);
  });

  test("seed 32: frames are the same whatever order they are asked in", () => {
    const timeline = timelineOf(
      [bar("a", rising(30, 500)), words({ revealBy: "word", motion: staggered(rising(20, 300), 50) })],
      [
        { atMs: 0, values: { w: "carry the lamp down" } },
        { atMs: 400, values: { w: "carry it low" } },
        { atMs: 900, values: null },
      ],
    );
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 2_500 }), { minLength: 2, maxLength: 12 }), (times) => {
        const forward = times.map((t) => JSON.stringify(at(timeline, t)));
        const backward = [...times].reverse().map((t) => JSON.stringify(at(timeline, t)));
        expect(backward.reverse()).toEqual(forward);
      }),
      { seed: 32 },
    );
  });

  test("words come one after another, and an unchanged text is not touched", () => {
    const reveal = words({ revealBy: "word", motion: staggered(fading(200), 100) });
    const timeline = timelineOf(
      [reveal, bar("a")],
      [
        { atMs: 0, values: { w: "carry the lamp down", x: "1" } },
        { atMs: 3_000, values: { w: "carry the lamp down", x: "2" } },
      ],
    );
    const opacities = (ms: number) =>
      plates(timeline, ms)
        .filter(({ id }) => id.includes("/words/"))
        .map(({ pose }) => pose.opacity);
    expect(opacities(0)).toEqual([0, 0, 0, 0]);
    const [first = 0, second = 0, third = 1] = opacities(150);
    expect(first).toBeGreaterThan(second);
    expect(second).toBeGreaterThan(0);
    expect(third).toBe(0);
    expect(opacities(500)).toEqual([1, 1, 1, 1]);
    expect(opacities(3_050)).toEqual([1, 1, 1, 1]);
    expect(timeline.pieces.filter(({ id }) => id.includes("/words/"))).toHaveLength(1);
  });

  test("a dissolve crosses the pages whatever their own motion, and cut is at once", () => {
    const dissolved = timelineOf(
      [bar("a", sliding("left", 900, 400)), words({ motion: rising(60, 400) })],
      [
        { atMs: 0, values: { w: "one" }, how: "dissolve" },
        { atMs: 5_000, values: { w: "two" }, how: "dissolve" },
        { atMs: 9_000, values: null, how: "dissolve" },
      ],
    );
    const half = find(dissolved, DISSOLVE_MS / 2, "a");
    expect(half?.pose).toMatchObject({ opacity: 0.5, offsetXPx: 0 });
    const crossing = plates(dissolved, 5_000 + DISSOLVE_MS / 2).filter(({ id }) => id.includes("/words/"));
    expect(crossing.map(({ pose }) => pose.opacity)).toEqual([0.5, 0.5]);
    expect(find(dissolved, 5_100, "a")?.pose.opacity).toBe(1);
    expect(find(dissolved, 9_000 + DISSOLVE_MS / 2, "a")?.pose.opacity).toBe(0.5);
    const cut = timelineOf(
      [bar("a", sliding("left", 900, 400))],
      [
        { atMs: 0, values: {}, how: "cut" },
        { atMs: 500, values: null, how: "cut" },
      ],
    );
    expect(find(cut, 0, "a")?.pose).toMatchObject({ opacity: 1, offsetXPx: 0 });
    expect(plates(cut, 500)).toEqual([]);
  });

  test("a time window opens and closes from the start of its page", () => {
    const windowed = bar("w", fading(200), { timeWindow: { fromMs: 500, untilMs: 2_000 } });
    const timeline = timelineOf([bar("a"), windowed], [{ atMs: 1_000, values: {} }]);
    expect([1_400, 1_600, 2_900, 3_100, 3_300].map((ms) => find(timeline, ms, "w") !== undefined)).toEqual([
      false,
      true,
      true,
      true,
      false,
    ]);
    expect(find(timeline, 9_000, "a")).toBeDefined();
    expect(stillUntil(timeline, 2_500)).toBe(3_000);
  });

  test("members move with their group and one after another; the group leaves as one", () => {
    const grouped = group("g", box(0, 0, 1920, 1080), [bar("a", fading(200)), bar("b", fading(200))], {
      motion: staggered(sliding("right", 100, 400), 150),
    });
    const timeline = timelineOf(
      [grouped],
      [
        { atMs: 0, values: {} },
        { atMs: 4_000, values: null },
      ],
    );
    const [placed] = at(timeline, 160);
    if (placed?.kind !== "group") throw new Error("no group");
    expect(placed.pose.offsetXPx).toBeGreaterThan(0);
    const [a, b] = placed.children;
    expect(a?.pose.opacity).toBeGreaterThan(b?.pose.opacity ?? 1);
    // It leaves as long as it came: 400 ms, its members with it.
    expect(flat(at(timeline, 4_200))).toHaveLength(2);
    expect(at(timeline, 4_400)).toEqual([]);
  });

  test("loops, clocks and crawls go on; they do not count as a change", () => {
    const loop = {
      ...fading(200),
      stay: { periodMs: 2_000, delayMs: 100, tracks: [move("rotationDeg", 0, 360, 2_000, 0, "linear")] },
    };
    const turning = timelineOf([bar("a", loop)], [{ atMs: 0, values: {} }]);
    expect(find(turning, 800, "a")?.pose.rotationDeg).toBeCloseTo(90, 6);
    expect(stillUntil(turning, 1_000)).toBeNull();
    expect(settledUntil(turning, 1_000)).toBe(Number.POSITIVE_INFINITY);
    expect(settledUntil(turning, 100)).toBeNull();
    const clock = timelineOf(
      [figures("c", { kind: "clock", format: "hms" }, box(0, 0, 400, 100), { min: 20, max: 60 })],
      [{ atMs: 0, values: {} }],
    );
    expect(stillUntil(clock, 10_300)).toBe(11_000);
  });
});

describe("what changes its place or its value", () => {
  const rows = [
    table(
      "t",
      "rows",
      box(0, 0, 900, 600),
      [
        [3, "start"],
        [1, "end"],
      ],
      { min: 20, max: 40 },
      { motion: fading(200), rowHeightPx: 80, rowGapPx: 10 },
    ),
  ];

  test("rows that change place glide; their numbers stand still", () => {
    const timeline = timelineOf(rows, [
      { atMs: 0, values: { rows: "Ropewalk|9\nKiln Lane|5" } },
      { atMs: 2_000, values: { rows: "Kiln Lane|5\nRopewalk|9" } },
    ]);
    const y = (ms: number, name: string) => plates(timeline, ms).find(({ id }) => id.includes(name))?.y;
    expect([y(1_999, "row:Ropewalk"), y(1_999, "row:Kiln")]).toEqual([0, 90]);
    expect([y(2_000 + GLIDE_MS / 2, "row:Ropewalk"), y(2_000 + GLIDE_MS / 2, "row:Kiln")]).toEqual([45, 45]);
    expect([y(2_000 + GLIDE_MS, "row:Ropewalk"), y(2_000 + GLIDE_MS, "row:Kiln")]).toEqual([90, 0]);
    expect(timeline.pieces.filter(({ id }) => id.includes("row:Kiln"))).toHaveLength(1);
    expect(y(2_100, "rank:1")).toBe(0);
  });

  test("a row whose value changes as it moves crosses on its way: old and new glide together", () => {
    const timeline = timelineOf(rows, [
      { atMs: 0, values: { rows: "Ropewalk|9\nKiln Lane|5" } },
      { atMs: 2_000, values: { rows: "Kiln Lane|12\nRopewalk|9" } },
    ]);
    const kiln = plates(timeline, 2_050).filter(({ id }) => id.includes("row:Kiln"));
    expect(kiln).toHaveLength(2);
    expect(kiln[0]?.y).toBe(kiln[1]?.y);
  });

  test("bars grow from where they are, and their numbers count on from the old value", () => {
    const chart = [
      bars(
        "b",
        "rows",
        box(0, 0, 1_000, 400),
        { min: 14, max: 40 },
        { motion: fading(200), fullAt: 100, countMs: 1_000, sorted: false },
      ),
    ];
    const timeline = timelineOf(chart, [
      { atMs: 0, values: { rows: "Ropewalk|20" } },
      { atMs: 5_000, values: { rows: "Ropewalk|60" } },
    ]);
    const cutOff = (ms: number) => find(timeline, ms, "b/bar:Ropewalk")?.pose.clipRight;
    expect(cutOff(4_999)).toBeCloseTo(0.8, 6);
    expect(cutOff(5_000 + GLIDE_MS / 2)).toBeCloseTo(0.6, 6);
    expect(cutOff(5_000 + GLIDE_MS)).toBeCloseTo(0.4, 6);
    const digits = (ms: number) => {
      const group_ = at(timeline, ms).find(({ id }) => id.includes("value:Ropewalk"));
      return group_?.kind === "group" ? group_.children.length : 0;
    };
    expect([digits(4_999), digits(5_400), digits(7_000)]).toEqual([2, 2, 2]);
    const counting = (timeline.pieces as Piece[]).find(({ id }) => id.endsWith("value:Ropewalk/5000"));
    expect(counting?.content).toMatchObject({ value: { from: 20, to: 60 } });
  });

  test("seed 33: a glide that begins in the middle of another starts from where the part is", () => {
    const place = fc.record({
      x: fc.integer({ min: -500, max: 500 }),
      y: fc.integer({ min: -500, max: 500 }),
    });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(place, fc.integer({ min: 1, max: 900 })), { minLength: 2, maxLength: 6 }),
        (steps) => {
          let fromMs = 0;
          const places = steps.map(([p, after], i) => {
            fromMs += after;
            return { ...p, fromMs, extent: 1, glideMs: i === 0 ? 0 : GLIDE_MS };
          });
          for (const { fromMs: t } of places.slice(1)) {
            const before = placeAt(places, t - 0.01);
            const after = placeAt(places, t);
            expect(Math.abs(before.x - after.x)).toBeLessThan(0.2);
            expect(Math.abs(before.y - after.y)).toBeLessThan(0.2);
          }
          const last = places.at(-1);
          expect(placeAt(places, fromMs + GLIDE_MS)).toMatchObject({ x: last?.x, y: last?.y });
        },
      ),
      { seed: 33 },
    );
  });

  test("new text of a crawl joins behind the old: what is seen does not jump", () => {
    const strip = [
      crawl("c", "items", box(0, 0, 1_000, 80), 40, {
        motion: STILL,
        speed: { kind: "pxPerSecond", px: 200 },
        gapPx: 100,
      }),
    ];
    const timeline = timelineOf(strip, [
      { atMs: 0, values: { items: "Last ferry 22:40" } },
      { atMs: 3_000, values: { items: "Soup in the sail room" } },
    ]);
    const left = (ms: number) =>
      plates(timeline, ms).map(({ id, x, pose }) => [id.split("@")[1]?.split("/")[2], x + pose.offsetXPx]);
    const before = left(2_999.9);
    const after = left(3_000);
    expect(before.length).toBeGreaterThan(0);
    for (const [i, [, x]] of before.entries())
      expect(Math.abs(((after[i]?.[1] ?? 0) as number) - (x as number))).toBeLessThan(1);
    // The old one leaves to its end, the new one is the only one after that.
    const ids = (ms: number) => new Set(left(ms).map(([id]) => id));
    expect(ids(3_200)).toEqual(new Set(["0"]));
    expect([...ids(20_000)]).toEqual(["3000"]);
  });

  test("another speed for the same crawl: it goes on from where it is, at once, by a cut too", () => {
    for (const how of ["animated", "cut"] as const) {
      const timeline = timelineOf(
        [
          crawl("c", "items", box(0, 0, 1_000, 80), 40, {
            motion: STILL,
            speed: { kind: "pxPerSecond", px: 200 },
            gapPx: 100,
          }),
        ],
        [
          { atMs: 0, values: { items: "Last ferry 22:40" } },
          {
            atMs: 3_000,
            values: { items: "Last ferry 22:40" },
            how,
            adjust: { items: { ...NO_ADJUSTMENT, speed: { kind: "pxPerSecond", px: 50 } } },
          },
        ],
      );
      const left = (ms: number) => plates(timeline, ms).map(({ x, pose }) => x + pose.offsetXPx);
      expect(left(2_999.9).length).toBeGreaterThan(0);
      expect(left(3_000)).toHaveLength(left(2_999.9).length);
      // 600 px in three seconds, then 50 px in the next.
      for (const [i, x] of left(3_000).entries()) {
        expect(Math.abs((left(2_999.9)[i] ?? 0) - x)).toBeLessThan(1);
        expect((left(4_000)[i] ?? 0) - x).toBeCloseTo(-50, 0);
      }
    }
  });

  test("a clip's place in time is the page's own, and one that leaves at its end does", () => {
    const timeline = timelineOf(
      [video("v", "clip", box(0, 0, 640, 360), { atEnd: "leave", motion: fading(200) })],
      [{ atMs: 1_000, values: { clip: "d".repeat(64) } }],
    );
    const clip = (ms: number) => flat(at(timeline, ms)).find((p) => p.kind === "video");
    expect(clip(3_500)).toMatchObject({ positionMs: 2_500, isPlaying: true });
    expect(clip(5_100)?.pose.opacity).toBeLessThan(1);
    expect(clip(5_200)).toBeUndefined();
    const looped = timelineOf(
      [video("v", "clip", box(0, 0, 640, 360))],
      [{ atMs: 1_000, values: { clip: "d".repeat(64) } }],
    );
    expect(flat(at(looped, 10_500))[0]).toMatchObject({ positionMs: 1_500 });
  });

  test("the program picture goes from the whole output into its window, and back when the page leaves", () => {
    const timeline = timelineOf(
      [program("p", box(200, 100, 960, 540), { corners: 20, motion: squeezing(800) })],
      [
        { atMs: 0, values: {} },
        { atMs: 5_000, values: null },
      ],
    );
    const rect = (ms: number) => flat(at(timeline, ms)).find((p) => p.kind === "program")?.rect;
    expect(rect(0)).toEqual({ x: 0, y: 0, width: 1920, height: 1080 });
    expect(rect(2_000)).toEqual({ x: 200, y: 100, width: 960, height: 540 });
    expect(rect(5_799)?.width).toBeGreaterThan(1_915);
    expect(rect(5_800)).toBeUndefined();
  });

  test("poses that are asked for past either end are held", () => {
    const { enter } = uncovering(300, 100);
    expect(poseAt(enter, -50)).toEqual(poseAt(enter, 0));
    expect(leavingPoseAt({ kind: "mirror", tracks: enter, lengthMs: 400 }, 0)).toEqual(poseAt(enter, 400));
  });
});
