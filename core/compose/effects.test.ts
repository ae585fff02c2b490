import { describe, expect, test } from "vitest";
import { prepareBench } from "../../test-support/contents.ts";
import {
  bars,
  box,
  crawl,
  fading,
  figures,
  group,
  list,
  make,
  move,
  program,
  rectangle,
  solid,
  table,
  text,
  video,
} from "../../test-support/designs.ts";
import { flat, HD } from "../../test-support/pages.ts";
import { timelineOf } from "../../test-support/takes.ts";
import type { SceneObject } from "../scene/objectKinds.ts";
import { type Placement, placementsAt } from "./placements.ts";
import { platesOf } from "./platesOf.ts";

const bench = prepareBench();
const still = { exit: [], change: { in: [], out: [] } };
/** A motion that brings one property from one value to another in a second. */
const moving = (property: Parameters<typeof move>[0], from: number, to: number, more = {}) => ({
  ...still,
  enter: [move(property, from, to, 1_000, 0, "linear")],
  ...more,
});
const on = (objects: SceneObject[], values: Record<string, string> = {}) =>
  timelineOf(bench.shaper, objects, [{ atMs: 0, values }]);
const at = (objects: SceneObject[], ms: number, values: Record<string, string> = {}) =>
  placementsAt(on(objects, values), ms, HD);
const walk = (placements: readonly Placement[]): Placement[] =>
  placements.flatMap((one) => (one.kind === "group" ? [one, ...walk(one.children)] : [one]));

const WORDS = { w: "Carry the lamp", rows: "Ropewalk|9\nKiln Lane|5", n: "12 goals" };
const FRAME = box(100, 100, 800, 300);
const sizes = { min: 20, max: 60 };
/** One of every kind that is painted, with a motion. */
const painted = (motion: ReturnType<typeof moving>): readonly (readonly [string, SceneObject])[] => [
  ["rectangle", rectangle("o", FRAME, solid("accent"), { motion })],
  ["text", text("o", "w", FRAME, sizes, { motion })],
  ["text by letters", text("o", "w", FRAME, sizes, { motion, revealBy: "character" })],
  ["list", list("o", "w", FRAME, sizes, { motion, shownField: null })],
  ["crawl", crawl("o", "w", FRAME, 60, { motion })],
  ["clock", figures("o", { kind: "clock" }, FRAME, sizes, { motion })],
  ["number", figures("o", { kind: "number", field: "n" }, FRAME, sizes, { motion })],
  [
    "table",
    table(
      "o",
      "rows",
      FRAME,
      [
        [2, "start"],
        [1, "end"],
      ],
      sizes,
      { motion },
    ),
  ],
  ["bars", bars("o", "rows", FRAME, sizes, { motion })],
  [
    "chart",
    make("chart", {
      ...{ id: "o", box: FRAME, field: "rows", form: "columns", minSizePx: 12, maxSizePx: 30 },
      ...{ colors: [{ token: "accent" }], motion },
    }),
  ],
  ["group", group("o", FRAME, [rectangle("in", FRAME, solid("accent"))], { motion })],
];

describe("tracks of blur, tint and colour", () => {
  test.each(painted(moving("blur", 1, 0, { blurPx: 20 })))(
    "a %s is blurred by its motion",
    (_name, object) => {
      const blurOf = (ms: number) =>
        Math.max(
          0,
          ...flat(at([object], ms, WORDS)).map((p) =>
            p.kind === "plate" ? (p.plate.picture.blurPx ?? 0) : 0,
          ),
        );
      expect(blurOf(1)).toBeCloseTo(20, 0);
      expect(blurOf(999)).toBeLessThan(4);
      expect(blurOf(3_000)).toBe(0);
    },
  );

  test.each(painted(moving("tint", 1, 0, { tint: "#ff0000" })))(
    "a %s is tinted by its motion",
    (_name, object) => {
      const tinted = (ms: number) =>
        flat(at([object], ms, WORDS)).some(
          (p) => p.kind === "plate" && p.plate.picture.tint?.color === "#ff0000",
        );
      expect([tinted(1), tinted(500), tinted(3_000)]).toEqual([true, true, false]);
    },
  );

  test("there are no steps: between two prepared plates the picture is a mix of both, by weights that add up", () => {
    const object = rectangle("o", FRAME, solid("accent"), {
      motion: moving("blur", 0, 1, {
        blurPx: 30,
        tint: "#00ff00",
        enter: [move("blur", 0, 1, 1_000, 0, "linear"), move("tint", 0, 1, 1_000, 0, "linear")],
      }),
    });
    let before: number | undefined;
    for (let ms = 20; ms < 1_000; ms += 20) {
      const mixed = at([object], ms)[0];
      if (mixed?.kind !== "group") throw new Error("not mixed");
      const weights = mixed.children.map(({ pose }) => pose.opacity);
      expect(weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 6);
      // The blur that the mix stands for grows evenly.
      const blur = mixed.children.reduce(
        (sum, child) =>
          sum + child.pose.opacity * (child.kind === "plate" ? (child.plate.picture.blurPx ?? 0) : 0),
        0,
      );
      if (before !== undefined) expect(blur - before).toBeCloseTo(0.6, 1);
      before = blur;
    }
    // Whatever it shows was prepared.
    const timeline = on([object]);
    const prepared = new Set(platesOf(timeline.pieces).map(({ key }) => key));
    for (let ms = 0; ms <= 1_000; ms += 50)
      for (const placed of flat(placementsAt(timeline, ms, HD)))
        if (placed.kind === "plate") expect(prepared).toContain(placed.plate.key);
  });

  test("a group hands them on to its members, with theirs", () => {
    const member = rectangle("in", FRAME, solid("accent"), { motion: moving("blur", 1, 1, { blurPx: 3 }) });
    const object = group("o", FRAME, [member], { motion: moving("blur", 1, 1, { blurPx: 4 }) });
    const [placed] = flat(at([object], 500));
    expect(placed?.kind === "plate" && placed.plate.picture.blurPx).toBeCloseTo(5, 6);
  });

  test("a colour that moves is the fill's alone: the outline stays", () => {
    const object = rectangle("o", FRAME, solid("accent"), {
      stroke: { color: "#010203", widthPx: 4 },
      motion: moving("color", 0, 1, { color: "#aa0000" }),
    });
    const [placed] = at([object], 2_000);
    expect(placed?.kind === "plate" && placed.plate.picture.items[0]).toMatchObject({
      fill: { kind: "solid", color: "#aa0000" },
      stroke: { color: "#010203" },
    });
  });
});

describe("tracks that cut edges off", () => {
  test.each(painted(moving("clipRight", 0.5, 0.5)))("a %s is cut", (_name, object) => {
    const cut = walk(at([object], 400, WORDS)).some(
      (p) =>
        p.pose.clipRight === 0.5 ||
        (p.kind === "group" && p.clip?.kind === "box" && p.clip.rect.width <= 401),
    );
    expect(cut).toBe(true);
  });

  test("four different corners stay as they are, of a shape and of a clip", () => {
    const corners: [number, number, number, number] = [10, 20, 30, 40];
    const shape = rectangle("o", FRAME, solid("accent"), { corners, motion: moving("clipRight", 0.5, 0.5) });
    const clip = video("v", "clip", FRAME, { corners, motion: moving("clipRight", 0.5, 0.5) });
    const placed = at([shape, clip], 400, { clip: "d".repeat(64) });
    expect(placed.map((p) => (p.kind === "plate" || p.kind === "video" ? p.radiiPx : null))).toEqual([
      corners,
      corners,
    ]);
  });

  test("a group that is cut to a shape is wiped within it", () => {
    const members = [rectangle("in", FRAME, solid("accent"))];
    const motion = moving("clipLeft", 0.25, 0.25);
    const round = at([group("o", FRAME, members, { motion, clip: { kind: "ellipse" } })], 400)[0];
    const square = at([group("o", FRAME, members, { motion, clip: { kind: "box", corners: 12 } })], 400)[0];
    expect(round).toMatchObject({
      clip: { kind: "box", rect: { x: 300, width: 600 } },
      children: [{ clip: { kind: "ellipse", rect: { x: 100, width: 800 } } }],
    });
    expect(square).toMatchObject({
      clip: { kind: "box", rect: { x: 300, width: 600 }, radiiPx: [12, 12, 12, 12] },
    });
  });
});

describe("what is drawn anew while it moves", () => {
  test("a box grows with true corners and an outline of the same width", () => {
    const object = rectangle("o", FRAME, solid("accent"), {
      corners: 40,
      stroke: { color: "#ffffff", widthPx: 6 },
      pivot: { x: 0, y: 0.5 },
      motion: moving("width", 0, 1),
    });
    const [half] = at([object], 500);
    if (half?.kind !== "drawn") throw new Error("not drawn");
    expect(half.picture.items[0]).toMatchObject({
      kind: "rectangle",
      rect: { width: 400, height: 300 },
      radiiPx: [40, 40, 40, 40],
      stroke: { widthPx: 6 },
    });
    expect(half.x + (half.picture.items[0] as { rect: { x: number } }).rect.x).toBe(100);
    expect(at([object], 2_000)[0]?.kind).toBe("plate");
  });

  test("an outline is drawn along its length, a straight line from its beginning", () => {
    const motion = moving("lineDrawn", 0, 1);
    const stroke = { color: "#ffffff", widthPx: 4 };
    const [shape] = at([rectangle("o", FRAME, { kind: "none" }, { stroke, motion })], 500);
    const dash = shape?.kind === "drawn" ? (shape.picture.items[0]?.stroke?.dashPx ?? []) : [];
    expect(dash[0]).toBeCloseTo(1_100, 0);
    const [line] = at([make("line", { id: "l", box: box(0, 0, 400, 0), stroke, motion })], 250);
    expect(line?.kind === "drawn" && line.picture.items[0]).toMatchObject({ from: { x: 0 }, to: { x: 100 } });
  });

  test("corners, colour and the angle of a gradient move too", () => {
    const fill = {
      kind: "linear" as const,
      angleDeg: 0,
      stops: [
        { at: 0, color: "#000000" },
        { at: 1, color: "#ffffff" },
      ],
    };
    const enter = (["corners", "gradientDeg", "color"] as const).map((property) =>
      move(property, 0, property === "gradientDeg" ? 90 : 1, 1_000, 0, "linear"),
    );
    const object = rectangle("o", box(0, 0, 200, 200), fill, {
      corners: 50,
      motion: { ...still, enter, color: "#0000ff" },
    });
    const [half] = at([object], 500);
    expect(half?.kind === "drawn" && half.picture.items[0]).toMatchObject({
      radiiPx: [25, 25, 25, 25],
      fill: { kind: "linear", stops: [{ color: "#000080ff" }, { color: "#8080ffff" }] },
    });
  });
});

describe("pivots", () => {
  test("what turns and grows does so around the pivot of its box, whatever shadow it casts", () => {
    const shadows = [{ color: "#000000", blurPx: 40, offsetYPx: 60 }];
    const turned = (more: object) =>
      at([rectangle("o", FRAME, solid("accent"), { rotationDeg: 30, ...more })], 0)[0];
    expect(turned({})?.pivot).toEqual({ x: 500, y: 250 });
    expect(turned({ shadows })?.pivot).toEqual({ x: 500, y: 250 });
    expect(turned({ pivot: { x: 0, y: 1 } })?.pivot).toEqual({ x: 100, y: 400 });
  });

  test("rows grow around their own, and a table that is turned is turned as one", () => {
    const rows = (more = {}) => at([table("o", "rows", FRAME, [[1, "start"]], sizes, more)], 0, WORDS);
    expect(new Set(rows().map(({ pivot }) => pivot.y)).size).toBe(2);
    expect(rows({ rotationDeg: 20 })).toMatchObject([
      { kind: "group", pose: { rotationDeg: 20 }, pivot: { x: 500, y: 250 } },
    ]);
  });
});

describe("the program's window", () => {
  test("follows its own motion: moved, grown, turned and cut", () => {
    const enter = [
      move("offsetXPx", -400, -400, 10),
      move("rotationDeg", 9, 9, 10),
      move("clipTop", 0.3, 0.3, 10),
    ];
    const [placed] = at([program("p", FRAME, { motion: { ...still, enter } })], 5);
    expect(placed).toMatchObject({
      kind: "program",
      rect: { x: 100, y: 100, width: 800, height: 300 },
      pivot: { x: 500, y: 250 },
      pose: { offsetXPx: -400, rotationDeg: 9, clipTop: 0.3 },
    });
  });
});

describe("sound", () => {
  const gainOf = (objects: SceneObject[], ms: number) => {
    const found = walk(at(objects, ms, { clip: "d".repeat(64) })).find(({ kind }) => kind === "video");
    return found?.kind === "video" ? found.gain : undefined;
  };
  const clip = (more = {}) => video("v", "clip", FRAME, { level: 1, ...more });

  test("fades with its own opacity, with that of its groups, and with what a wipe leaves of it", () => {
    expect(gainOf([clip({ motion: moving("opacity", 0, 1) })], 250)).toBeCloseTo(0.25, 6);
    expect(gainOf([group("g", FRAME, [clip()], { motion: moving("opacity", 0, 1) })], 250)).toBeCloseTo(
      0.25,
      6,
    );
    expect(gainOf([clip({ motion: moving("clipRight", 1, 0) })], 250)).toBeCloseTo(0.25, 6);
    expect(gainOf([group("g", FRAME, [clip()], { motion: moving("clipTop", 1, 0) })], 250)).toBeCloseTo(
      0.25,
      6,
    );
    expect(gainOf([clip()], 250)).toBe(1);
  });
});

describe("a group's time window", () => {
  const member = rectangle("in", FRAME, solid("accent"), {
    motion: { ...fading(400), exit: [move("opacity", 1, 0, 600, 0, "linear")] },
  });
  const timed = group("g", FRAME, [member], { timeWindow: { fromMs: 2_000, untilMs: 5_000 } });
  const opacityAt = (ms: number) => flat(at([timed], ms))[0]?.pose.opacity;

  test("its members come when it does, and leave by their own motion when it ends", () => {
    expect(opacityAt(1_999)).toBeUndefined();
    expect(opacityAt(2_100)).toBeGreaterThan(0);
    expect(opacityAt(2_100)).toBeLessThan(1);
    expect(opacityAt(3_000)).toBe(1);
    expect(opacityAt(5_300)).toBeCloseTo(0.5, 1);
    expect(opacityAt(5_600)).toBeUndefined();
  });

  test("a group without an exit of its own waits for its members when the page leaves", () => {
    const timeline = timelineOf(
      bench.shaper,
      [group("g", FRAME, [member])],
      [
        { atMs: 0, values: {} },
        { atMs: 3_000, values: null },
      ],
    );
    const opacity = (ms: number) => flat(placementsAt(timeline, ms, HD))[0]?.pose.opacity;
    expect(opacity(3_300)).toBeCloseTo(0.5, 1);
    expect(opacity(3_601)).toBeUndefined();
  });
});
